import fc from 'fast-check'
import polygonClipping from 'polygon-clipping'
import { describe, expect, it } from 'vitest'
import { pointsOf, polygonArea, ringOf, union, type Polygon } from '#core/geometry'
import { ellipsePoints } from '../../core/geometry/flatten'
import { analyse, assembleSheet, islandsOf, readSvg } from '#core/stencil'
import { sheets } from '../unit/world'

const disc = (x: number, y: number, r: number): Polygon => ({
  outer: Float64Array.from(ellipsePoints(x, y, r, r, 0.0005)),
  holes: [],
})
type Pairs = [number, number][]
const pairs = (ring: Float64Array): Pairs => pointsOf(ring).map(([x, y]) => [x, y])
const theirArea = (multi: Pairs[][]): number =>
  multi.reduce(
    (total, polygon) =>
      total +
      polygon.reduce((a, ring, i) => {
        const shoelace =
          Math.abs(
            ring.reduce(
              (s, [x, y], k) => s + x * ring[(k + 1) % ring.length]![1] - ring[(k + 1) % ring.length]![0] * y,
              0,
            ),
          ) / 2
        return a + (i === 0 ? shoelace : -shoelace)
      }, 0),
    0,
  )

// Closed form: in a row of equal discs the bridge is the pitch less the diameter.
it.each([
  [10, 4],
  [5, 2.2],
  [3, 1.45],
  [2.4, 1],
])('a row of discs at a pitch of %d mm and a radius of %d mm', (pitch, r) => {
  const a = analyse(
    assembleSheet(
      [0, 1, 2, 3, 4].map(i => disc(i * pitch, 0, r)),
      null,
    ),
    20,
  )
  expect(a.bridge!.width).toBeCloseTo(pitch - 2 * r, 2)
  expect(a.bridges).toHaveLength(4)
  expect(a.slot.width).toBeCloseTo(2 * r, 1)
})

// Closed form: an annulus holds one island of area pi r^2, and is as wide as R - r.
it.each([
  [20, 15],
  [12, 11],
  [8, 3],
])('an annulus of %d and %d mm', (R, r) => {
  const { sheet } = readSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="-30 -30 60 60"><path fill-rule="evenodd" d="M${-R} 0a${R} ${R} 0 1 1 ${2 * R} 0a${R} ${R} 0 1 1 ${-2 * R} 0zM${-r} 0a${r} ${r} 0 1 1 ${2 * r} 0a${r} ${r} 0 1 1 ${-2 * r} 0z"/></svg>`,
  )
  const islands = islandsOf(sheet)
  expect(islands).toHaveLength(1)
  expect(Math.abs(islands[0]!.area / (Math.PI * r * r) - 1)).toBeLessThan(0.01)
  expect(analyse(sheet).slot.width).toBeCloseTo(R - r, 1)
})

// Closed form: a regular n-gon has n mirror axes and maps on itself under a turn by 1/n.
it.each([3, 4, 5, 6, 7, 8, 12])('a regular %d-gon', n => {
  const gon = ringOf(
    Array.from(
      { length: n },
      (_, i) =>
        [18 * Math.sin((2 * Math.PI * i) / n + 0.1), -18 * Math.cos((2 * Math.PI * i) / n + 0.1)] as const,
    ),
  )
  const { symmetry } = analyse(assembleSheet([{ outer: gon, holes: [] }], null))
  expect(symmetry.axes).toHaveLength(n)
  expect(symmetry.turns.map(t => t.order)).toContain(n)
})

describe('union and area against polygon-clipping', () => {
  it.each([...sheets.keys()])('%s', id => {
    const { openings } = sheets.get(id)!
    const a = analyse(sheets.get(id)!)
    const theirs = polygonClipping.union(
      openings.map(o => [o.outer, ...o.holes].map(pairs)) as never,
    ) as Pairs[][]
    expect(theirs).toHaveLength(openings.length)
    expect(Math.abs(theirArea(theirs) / a.openArea - 1)).toBeLessThan(1e-6)
  })

  /** Their union; null where their program gives up: it cannot complete the rings of a few thin triangles. */
  function theirUnion(rings: readonly Pairs[]): Pairs[][] | null {
    try {
      return polygonClipping.union(...(rings.map(points => [points]) as unknown as [never])) as Pairs[][]
    } catch (error) {
      expect(String(error)).toMatch(/Unable to complete output ring/)
      return null
    }
  }

  /** The area that some triangles cover, by our union and by theirs; null where theirs gives up. */
  function areas(rings: readonly Pairs[]): [ours: number, theirs: number] | null {
    const ours = union(rings.map(points => ({ outer: ringOf(points), holes: [] })))
    const united = theirUnion(rings)
    return united && [ours.reduce((s, p) => s + polygonArea(p), 0), theirArea(united)]
  }
  /** Twice the area of the triangle of three points. */
  const cross = (a: Pairs[number], b: Pairs[number], c: Pairs[number]): number =>
    (b[0]! - a[0]!) * (c[1]! - a[1]!) - (b[1]! - a[1]!) * (c[0]! - a[0]!)
  /** Whether a corner of one triangle lies on a side of another: see the test that fails below. */
  const touching = (rings: readonly Pairs[]): boolean =>
    rings.some(ring =>
      rings.some(
        other =>
          other !== ring &&
          ring.some(p =>
            other.some((a, i) => {
              const b = other[(i + 1) % other.length]!
              const along = (p[0]! - a[0]!) * (p[0]! - b[0]!) + (p[1]! - a[1]!) * (p[1]! - b[1]!)
              return cross(a, b, p) === 0 && along <= 0
            }),
          ),
      ),
    )

  it('random overlapping shapes', () => {
    let compared = 0
    const shape = fc.array(fc.tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -30, max: 30 })), {
      minLength: 3,
      maxLength: 3,
    })
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 6 }), triangles => {
        const rings = triangles.filter(([a, b, c]) => Math.abs(cross(a!, b!, c!)) > 1) as Pairs[]
        if (rings.length === 0 || touching(rings)) return
        const both = areas(rings)
        if (!both) return
        compared++
        const [ours, theirs] = both
        expect(Math.abs(ours - theirs)).toBeLessThan(1e-3 * Math.max(1, theirs))
      }),
      { numRuns: 150 },
    )
    expect(compared).toBeGreaterThan(90)
  })

  // A fault of the library that unites: where a corner lies exactly on a side, a gap that ends there is filled.
  // Counting squares of 0.02 mm gives 45.65 mm2, as polygon-clipping does.
  it.fails('a gap that ends in a corner on a side', () => {
    const triangles: Pairs[] = [
      [[24, 26], [-30, -24], [-5, 0]],
      [[-3, 1], [0, -12], [0, 0]],
      [[-15, -6], [0, 0], [0, -1]],
    ] // prettier-ignore
    const [ours, theirs] = areas(triangles)!
    expect(ours).toBeCloseTo(theirs, 1)
  })
})

// The narrowest bridge of random discs is what comparing every pair gives.
it('random discs: narrowest bridge against all pairs', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          x: fc.integer({ min: -50, max: 50 }),
          y: fc.integer({ min: -40, max: 40 }),
          r: fc.integer({ min: 2, max: 9 }),
        }),
        { minLength: 2, maxLength: 14 },
      ),
      wanted => {
        const discs = wanted.filter((d, i) =>
          wanted.slice(0, i).every(e => Math.hypot(d.x - e.x, d.y - e.y) > d.r + e.r + 0.2),
        )
        if (discs.length < 2) return
        const gaps = discs.flatMap((d, i) =>
          discs.slice(0, i).map(e => Math.hypot(d.x - e.x, d.y - e.y) - d.r - e.r),
        )
        expect(
          analyse(
            assembleSheet(
              discs.map(d => disc(d.x, d.y, d.r)),
              null,
            ),
          ).bridge!.width,
        ).toBeCloseTo(Math.min(...gaps), 2)
      },
    ),
    { numRuns: 30 },
  )
}, 60_000)
