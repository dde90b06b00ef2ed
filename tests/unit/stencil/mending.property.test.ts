import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { difference, intersection, polygonArea, ringOf, type Polygon } from '#core/geometry'
import { ellipsePoints } from '../../../core/geometry/flatten'
import { analyse, assembleSheet, islandsOf, proposedJoins, withJoins, withWiderBridges } from '#core/stencil'

const disc = (x: number, y: number, r: number): Polygon => ({
  outer: Float64Array.from(ellipsePoints(x, y, r, r, 0.02)),
  holes: [],
})
const rectangle = (w: number, h: number) =>
  ringOf([
    [-w / 2, -h / 2],
    [w / 2, -h / 2],
    [w / 2, h / 2],
    [-w / 2, h / 2],
  ])
const area = (list: readonly Polygon[]) => list.reduce((a, p) => a + polygonArea(p), 0)

describe('joins', () => {
  const annulus = fc.record({
    x: fc.integer({ min: -60, max: 60 }),
    y: fc.integer({ min: -40, max: 40 }),
    r: fc.integer({ min: 5, max: 22 }),
    thick: fc.integer({ min: 1, max: 4 }),
  })

  it('leave one piece of any rings, and take away no more than their own area', () => {
    fc.assert(
      fc.property(
        fc.array(annulus, { minLength: 1, maxLength: 6 }),
        fc.double({ min: 0.8, max: 2.5, noNaN: true }),
        (wanted, width) => {
          const rings = wanted.filter((a, i) =>
            wanted
              .slice(0, i)
              .every(b => Math.hypot(a.x - b.x, a.y - b.y) > a.r + b.r + a.thick + b.thick + 1),
          )
          const openings = rings.flatMap(({ x, y, r, thick }) =>
            difference([disc(x, y, r + thick)], [disc(x, y, r)]),
          )
          const sheet = assembleSheet(openings, rectangle(220, 180))
          const islands = islandsOf(sheet)
          expect(islands).toHaveLength(rings.length)
          const joins = proposedJoins(sheet, islands, width)
          const mended = withJoins(sheet, joins)
          expect(islandsOf(mended)).toEqual([])
          expect(joins.length).toBeGreaterThanOrEqual(islands.reduce((n, i) => n + (i.area > 100 ? 2 : 1), 0))
          const taken = area(sheet.openings) - area(mended.openings)
          const most = joins.reduce(
            (a, j) => a + j.width * (Math.hypot(j.from[0] - j.to[0], j.from[1] - j.to[1]) + 0.8),
            0,
          )
          expect(taken).toBeGreaterThan(0)
          expect(taken).toBeLessThanOrEqual(most + 0.01)
          // Nothing is cut that was not open before.
          expect(area(difference(mended.openings, sheet.openings))).toBeLessThan(0.01)
        },
      ),
      { numRuns: 25 },
    )
  })
})

describe('wider bridges', () => {
  it('come out at least as wide as asked between any two discs', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.double({ min: 3, max: 12, noNaN: true }),
        fc.double({ min: 3, max: 12, noNaN: true }),
        (gap, a, b) => {
          const sheet = assembleSheet([disc(-a - gap / 2, 0, a), disc(b + gap / 2, 0, b)], rectangle(80, 60))
          const wide = withWiderBridges(sheet, analyse(sheet, 1).bridges, 1)
          expect(analyse(wide, 1).bridge!.width).toBeGreaterThan(0.95)
          expect(wide.openings).toHaveLength(2)
          expect(area(intersection(wide.openings, sheet.openings))).toBeCloseTo(area(wide.openings), 2)
          // Only near the bridge: most of each disc stays.
          expect(area(wide.openings)).toBeGreaterThan(0.75 * area(sheet.openings))
        },
      ),
      { numRuns: 25, examples: [[0.8897, 3, 3]] },
    )
  })
})
