import { describe, expect, it } from 'vitest'
import { ellipsePoints } from '#core/geometry'
import { csvOf, readPalette } from '#core/formats'
import { chained } from '../../../core/stencil/dxf/chains'
import {
  analyse,
  edgeMargin,
  islandsOf,
  latticeOf,
  proposedJoins,
  readDxf,
  symmetryOf,
  withJoins,
  type SheetGeometry,
} from '#core/stencil'
import type { Polygon } from '#core/geometry'

const square = (x: number, y: number, w: number): Polygon => ({
  outer: Float64Array.from([x, y, x + w, y, x + w, y + w, x, y + w]),
  holes: [],
})
const sheetOf = (openings: Polygon[], half = 60): SheetGeometry => ({
  width: 2 * half,
  height: 2 * half,
  outline: Float64Array.from([-half, -half, half, -half, half, half, -half, half]),
  openings,
})
const area = (ring: Float64Array) =>
  Math.abs(
    [...Array(ring.length / 2).keys()].reduce((s, i) => {
      const j = (i + 1) % (ring.length / 2)
      return s + ring[2 * i]! * ring[2 * j + 1]! - ring[2 * j]! * ring[2 * i + 1]!
    }, 0) / 2,
  )

describe('openings that touch at a corner', () => {
  const board = sheetOf(
    [...Array(25).keys()]
      .filter(i => ((i % 5) + Math.floor(i / 5)) % 2 === 0)
      .map(i => square((i % 5) * 10 - 25, Math.floor(i / 5) * 10 - 25, 10)),
  )
  it('hold nothing: a checkerboard falls apart when cut', () => {
    const loose = islandsOf(board)
    // Of the twelve solid squares of a board of five by five, four stand at its edge on each side and hold;
    // the inner four do not.
    expect(loose).toHaveLength(4)
    loose.forEach(i => expect(Math.abs(i.area - 100)).toBeLessThan(1))
    expect(loose[0]!.touches).toHaveLength(4)
  })

  it('are joined over their corners, and nothing falls out any more', () => {
    const joined = withJoins(board, proposedJoins(board, islandsOf(board), 1.5))
    expect(islandsOf(joined)).toEqual([])
    expect(analyse(joined).openings).toBe(13)
  })

  it('openings that stand apart enclose nothing, and rings are told once', () => {
    expect(islandsOf(sheetOf([square(-20, -20, 10), square(-9.9, -20, 10), square(-20, -9.9, 10)]))).toEqual(
      [],
    )
    const ring: Polygon = {
      outer: Float64Array.from(ellipsePoints(0, 0, 20, 20, 0.02)),
      holes: [Float64Array.from(ellipsePoints(0, 0, 10, 10, 0.02)).reverse() as Float64Array],
    }
    expect(
      islandsOf(sheetOf([{ ...ring, holes: [Float64Array.from(ellipsePoints(0, 0, 10, 10, 0.02))] }])),
    ).toHaveLength(1)
  })
})

describe('axes and lattices', () => {
  it('an axis is found once, however close its candidates lie', () => {
    const star = (points: number): Polygon => ({
      outer: Float64Array.from(
        Array.from({ length: 2 * points }, (_, i) => [
          Math.sin((Math.PI * i) / points) * (i % 2 ? 14 : 20),
          -Math.cos((Math.PI * i) / points) * (i % 2 ? 14 : 20),
        ]).flat(),
      ),
      holes: [],
    })
    for (const points of [3, 5, 6, 8]) {
      const { axes } = symmetryOf([star(points)])
      expect(axes.length, `${points} points`).toBe(points)
      axes.forEach((a, i) =>
        axes
          .slice(0, i)
          .forEach(b =>
            expect(
              Math.min(Math.abs(a.angle - b.angle) % 180, 180 - (Math.abs(a.angle - b.angle) % 180)),
            ).toBeGreaterThan(4.9),
          ),
      )
    }
  })

  it('alternating shapes of one area repeat only from like to like', () => {
    const r = 3
    const side = Math.sqrt(Math.PI) * r
    const disc = (x: number, y: number): Polygon => ({
      outer: Float64Array.from(ellipsePoints(x, y, r, r, 0.01)),
      holes: [],
    })
    const mixed = [...Array(49).keys()].map(i => {
      const x = (i % 7) * 12 - 36
      const y = Math.floor(i / 7) * 12 - 36
      return ((i % 7) + Math.floor(i / 7)) % 2 ? square(x - side / 2, y - side / 2, side) : disc(x, y)
    })
    const { a, b } = latticeOf(mixed)!
    expect(Math.hypot(...a)).toBeCloseTo(12 * Math.SQRT2, 1)
    expect(Math.abs(a[0] * b[1] - a[1] * b[0])).toBeCloseTo(2 * 144, 0)
    const up = [...Array(49).keys()].map((i): Polygon => {
      const x = (i % 7) * 12 - 36
      const y = Math.floor(i / 7) * 12 - 36
      const s = i % 2 ? -1 : 1
      return { outer: Float64Array.from([x, y - 4 * s, x + 3.46, y + 2 * s, x - 3.46, y + 2 * s]), holes: [] }
    })
    expect(
      Math.abs(latticeOf(up)!.a[0] * latticeOf(up)!.b[1] - latticeOf(up)!.a[1] * latticeOf(up)!.b[0]),
    ).toBeCloseTo(2 * 144, 0)
  })

  it('the margin reaches from a corner of the edge to the side of an opening too', () => {
    // The edge has a notch whose tip points at the middle of a long side.
    const sheet: SheetGeometry = {
      width: 100,
      height: 100,
      outline: Float64Array.from([-50, -50, -5, -50, 0, -24, 5, -50, 50, -50, 50, 50, -50, 50]),
      openings: [{ outer: Float64Array.from([-30, -20, 30, -20, 30, 20, -30, 20]), holes: [] }],
    }
    expect(edgeMargin(sheet).width).toBeCloseTo(4, 6)
  })
})

const dxf = (body: string) =>
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${body}0\nENDSEC\n0\nEOF\n`
const line = (x0: number, y0: number, x1: number, y1: number, layer = 'CUT') =>
  `0\nLINE\n8\n${layer}\n10\n${x0}\n20\n${y0}\n11\n${x1}\n21\n${y1}\n`

describe('drawings', () => {
  it('a loop with a circle in its mouth is an opening like the circle', () => {
    const c = [
      [0, 0],
      [60, 0],
      [60, 10],
      [10, 10],
      [10, 50],
      [60, 50],
      [60, 60],
      [0, 60],
    ] as const
    const { sheet } = readDxf(
      dxf(
        c
          .map((p, i) => {
            const q = c[(i + 1) % c.length]!
            return line(p[0], p[1], q[0], q[1])
          })
          .join('') + '0\nCIRCLE\n8\nCUT\n10\n40\n20\n30\n40\n8\n',
      ),
    )
    expect(sheet.openings).toHaveLength(2)
    expect(sheet.openings.map(o => area(o.outer)).sort((a, b) => a - b)[0]).toBeCloseTo(Math.PI * 64, -1)
  })

  it('sixty thousand lines in any order are joined without looking at every pair', () => {
    const n = 60_000
    const loop = (k: number, i: number) => [
      Math.floor(k % 20) * 10 + 4 * Math.cos((2 * Math.PI * i) / 300),
      Math.floor(k / 20) * 10 + 4 * Math.sin((2 * Math.PI * i) / 300),
    ]
    const pieces = Array.from({ length: n }, (_, p) => {
      // A stride that is coprime to the number of pieces shuffles them.
      const q = (p * 7919) % n
      const k = Math.floor(q / 300)
      const i = q % 300
      const ends = [...loop(k, i), ...loop(k, (i + 1) % 300)]
      return { points: q % 3 ? ends : [ends[2]!, ends[3]!, ends[0]!, ends[1]!], closed: false }
    })
    const { loops, open } = chained(pieces, 0.01)
    expect(open).toBeNull()
    expect(loops).toHaveLength(200)
    loops.forEach(l => expect(area(Float64Array.from(l))).toBeCloseTo(Math.PI * 16, 1))
  })
})

describe('palettes as CSV', () => {
  it('are read again as they were written, whatever stands in a name', () => {
    const swatches = ['plain', 'with, comma', 'with "quotes"', 'two\nlines', '=SUM(A1)', ' spaces '].map(
      (name, i) => ({ name, colour: `#0${i}0a0b` }),
    )
    expect(readPalette(csvOf(swatches)).swatches).toEqual(swatches.map(s => ({ ...s, name: s.name.trim() })))
  })
})
