import PerspT from 'perspective-transform'
import { describe, expect, it } from 'vitest'
import type { Point } from '../../core/geometry'
import { discRadius, histogramOf, homographyOf, inverted, otsu, taken } from '../../core/photo'
import type { SheetGeometry } from '../../core/stencil'
import { areasOf, readShot } from '../readings'

const SQUARE: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]] // prettier-ignore

describe('homographies', () => {
  it('a square and back is the identity', () => {
    const there = homographyOf(SQUARE, [[12, 7], [96, 18], [88, 120], [3, 91]]) // prettier-ignore
    const back = inverted(there)
    for (const p of [
      [0.2, 0.7],
      [0.9, 0.1],
      [0.5, 0.5],
    ] as Point[]) {
      // prettier-ignore
      const q = taken(there, ...p)
      const r = taken(back, ...q)
      expect(r[0]).toBeCloseTo(p[0], 9)
      expect(r[1]).toBeCloseTo(p[1], 9)
    }
  })

  it('a square to a trapezium has the closed form of Heckbert 1989', () => {
    // Fundamentals of Texture Mapping, 1989, section 2.2.3: for corners (0,0), (1,0), (1-t,1), (t,1)
    // the sums are dx3 = -2t.. which gives h = 2t/(1-2t) for the last row. Worked out by hand for t = 1/4.
    const h = homographyOf(SQUARE, [[0, 0], [1, 0], [0.75, 1], [0.25, 1]]) // prettier-ignore
    const expected = [1, 0.5, 0, 0, 2, 0, 0, 1, 1]
    h.forEach((v, k) => expect(v).toBeCloseTo(expected[k]!, 9))
  })

  it('agrees with a library of the registry on twenty figures', () => {
    for (let n = 0; n < 20; n++) {
      const off = (k: number) => 9 * Math.sin(17.3 * n + 5.1 * k)
      const to: Point[] = [[off(0), off(1)], [140 + off(2), off(3)], [150 + off(4), 95 + off(5)], [off(6), 90 + off(7)]] // prettier-ignore
      const from: Point[] = [[0, 0], [126, 0], [126, 92], [0, 92]] // prettier-ignore
      const theirs = PerspT(from.flat(), to.flat())
      const ours = homographyOf(from, to)
      for (const p of [
        [10, 80],
        [63, 46],
        [120, 3],
      ] as Point[]) {
        // prettier-ignore
        const [x, y] = theirs.transform(...p)
        const q = taken(ours, ...p)
        expect(q[0]).toBeCloseTo(x, 5)
        expect(q[1]).toBeCloseTo(y, 5)
      }
    }
  })

  it('more than four points are met in the sense of least squares', () => {
    const truth = homographyOf(SQUARE, [[10, 10], [210, 22], [190, 160], [4, 140]]) // prettier-ignore
    const from: Point[] = []
    const to: Point[] = []
    for (let i = 0; i <= 4; i++)
      for (let j = 0; j <= 4; j++) {
        const q = taken(truth, i / 4, j / 4)
        from.push([i / 4, j / 4])
        to.push([q[0] + 0.3 * Math.sin(7 * i + j), q[1] + 0.3 * Math.cos(5 * j - i)])
      }
    const fit = homographyOf(from, to)
    const off = Math.hypot(...taken(fit, 0.5, 0.5).map((v, k) => v - taken(truth, 0.5, 0.5)[k]!))
    expect(off).toBeLessThan(0.15)
  })
})

describe("Otsu's threshold (1979)", () => {
  it('lies between two equal spikes', () => {
    const bins = new Uint32Array(256)
    bins[40] = bins[200] = 500
    const { bin, parted, share, below, above } = otsu(bins)
    expect(bin).toBeGreaterThanOrEqual(40)
    expect(bin).toBeLessThan(200)
    expect([parted, share, below, above]).toEqual([1, 0.5, 40, 200])
  })

  it('is that of a histogram worked by hand', () => {
    // Counts 3 2 1 0 1 3: means by first classes, variance between them n1 n2 (m1 - m2)^2 / N^2:
    // after bin 0: 3.61 .. after bin 1: 0.25 * 3.6^2 = 3.24 * .. after bin 2: the largest, 0.24 * (4.75 - 0.667)^2.
    const counts = [3, 2, 1, 0, 1, 3]
    const { bin, below, above } = otsu(counts)
    expect(bin).toBe(2.5)
    expect(below).toBeCloseTo(4 / 6, 9)
    expect(above).toBeCloseTo(19 / 4, 9)
  })

  it('counts what lies between its bounds', () => {
    const bins = histogramOf(Float32Array.from([0, 0.5, 1, -1, 2]))
    expect([bins[0], bins[128], bins[255]]).toEqual([1, 1, 1])
  })
})

const rectangle = (w: number, h: number): Float64Array =>
  Float64Array.from([-w / 2, -h / 2, w / 2, -h / 2, w / 2, h / 2, -w / 2, h / 2])
const at = (ring: Float64Array, x: number, y: number) => ring.map((v, k) => v + (k % 2 ? y : x))
const disc = (r: number) =>
  Float64Array.from({ length: 256 }, (_, k) => r * (k % 2 ? Math.sin : Math.cos)((Math.PI * (k >> 1)) / 64))

it('a disc of 10 mm and a square of 8 mm have their areas by geometry within half a per cent', () => {
  const sheet: SheetGeometry = {
    width: 60,
    height: 40,
    outline: rectangle(60, 40),
    openings: [
      { outer: at(disc(5), -14, 0), holes: [] },
      { outer: at(rectangle(8, 8), 14, 0), holes: [] },
    ],
  }
  const [square, round] = areasOf(readShot({ sheet, fineness: 10 }).draft)
  expect(round! / (Math.PI * 25)).toBeCloseTo(1, 2)
  expect(Math.abs(round! / 78.54 - 1)).toBeLessThan(0.005)
  expect(Math.abs(square! / 64 - 1)).toBeLessThan(0.005)
})

it('a small disc is given back what a blur took: to first order sigma^2 / 2r (curvature flow)', () => {
  for (const seen of [3, 5, 9]) expect(discRadius(seen, 0.8) - seen).toBeCloseTo(0.64 / (2 * seen), 1)
  // A disc of radius 2 sigma looks half bright at 0.838 of its radius: by numerical integration of the noncentral
  // chi-square distribution, from memory of its tables.
  expect(discRadius(1.6, 1)).toBeGreaterThan(1.9)
})
