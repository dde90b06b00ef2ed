import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  compose,
  difference,
  holderOf,
  inverse,
  intersection,
  mapRing,
  offset,
  perimeter,
  polygonArea,
  polygonHolds,
  regionOf,
  ringCentroid,
  ringHolds,
  ringOf,
  rotation,
  signedArea,
  stretchOf,
  translation,
  union,
  wrapDegrees,
  type Polygon,
} from '#core/geometry'

const square = (x: number, y: number, s: number): Polygon => ({
  outer: ringOf([
    [x, y],
    [x + s, y],
    [x + s, y + s],
    [x, y + s],
  ]),
  holes: [],
})
const total = (list: Polygon[]) => list.reduce((a, p) => a + polygonArea(p), 0)

describe('rings', () => {
  it('hold a point by the band exactly when they hold it edge by edge', () => {
    const coordinate = fc.integer({ min: -20, max: 20 }).map(v => v / 2)
    const point = fc.tuple(coordinate, coordinate)
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 3, maxLength: 40 }),
        fc.array(point, { minLength: 20, maxLength: 20 }),
        (corners, asked) => {
          const ring = ringOf(corners)
          const holds = holderOf(ring)
          // Corners and the places between them too: there a band ends and the next begins.
          for (const [x, y] of [...asked, ...corners]) expect(holds(x, y)).toBe(ringHolds(ring, x, y))
        },
      ),
    )
  })

  it('measures a rectangle', () => {
    const ring = ringOf([
      [0, 0],
      [4, 0],
      [4, 3],
      [0, 3],
    ])
    expect(signedArea(ring)).toBe(12)
    expect(perimeter(ring)).toBe(14)
    expect(ringCentroid(ring)).toEqual([2, 1.5])
    expect(ringHolds(ring, 1, 1)).toBe(true)
    expect(ringHolds(ring, 5, 1)).toBe(false)
  })

  it('keeps area and perimeter under any turn and shift', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -360, max: 360, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (angle, shift) => {
          const ring = ringOf([
            [0, 0],
            [7, 1],
            [5, 6],
            [1, 4],
          ])
          const moved = mapRing(compose(translation(shift, -shift), rotation(angle)), ring)
          expect(signedArea(moved)).toBeCloseTo(signedArea(ring), 8)
          expect(perimeter(moved)).toBeCloseTo(perimeter(ring), 8)
        },
      ),
    )
  })

  it('undoes a map with its inverse, and refuses a flat one', () => {
    const map = compose(rotation(33, 2, 5), [2, 0.3, -0.1, 1.5, 4, 4])
    const ring = ringOf([
      [1, 2],
      [3, 4],
      [5, 1],
    ])
    mapRing(inverse(map), mapRing(map, ring)).forEach((v, i) => expect(v).toBeCloseTo(ring[i]!, 10))
    expect(() => inverse([1, 2, 2, 4, 0, 0])).toThrow(/flattens/)
  })

  it('tells the largest stretch of a map', () => {
    expect(stretchOf([3, 0, 0, 2, 9, 9])).toBeCloseTo(3, 12)
    expect(stretchOf(rotation(40))).toBeCloseTo(1, 12)
  })

  it('wraps angles into (-180, 180]', () => {
    expect([wrapDegrees(190), wrapDegrees(-180), wrapDegrees(540), wrapDegrees(-30)]).toEqual([
      -170, 180, 180, -30,
    ])
  })
})

describe('clipping', () => {
  it('unites, cuts and meets squares', () => {
    const a = square(0, 0, 10)
    const b = square(5, 5, 10)
    expect(total(union([a, b]))).toBeCloseTo(175, 6)
    expect(total(intersection([a], [b]))).toBeCloseTo(25, 6)
    expect(total(difference([a], [b]))).toBeCloseTo(75, 6)
  })

  it('makes holes by the even-odd rule and fills them by the non-zero rule', () => {
    const rings = [square(0, 0, 10).outer, square(3, 3, 4).outer]
    const holed = regionOf(rings, 'evenodd')
    expect(holed).toHaveLength(1)
    expect(holed[0]!.holes).toHaveLength(1)
    expect(polygonHolds(holed[0]!, 5, 5)).toBe(false)
    expect(total(holed)).toBeCloseTo(84, 6)
    expect(total(regionOf(rings, 'nonzero'))).toBeCloseTo(100, 6)
  })

  it('grows a square with round corners and shrinks it with sharp ones', () => {
    expect(total(offset([square(0, 0, 10)], 1))).toBeCloseTo(100 + 40 + Math.PI, 1)
    expect(total(offset([square(0, 0, 10)], -1))).toBeCloseTo(64, 3)
  })

  it('leaves nothing of what is no wider than it shrinks, and all else as it is beside it', () => {
    const wide = square(0, 0, 10)
    for (const side of [1.9, 2]) expect(offset([square(20, 0, side)], -1)).toEqual([])
    expect(total(offset([square(20, 0, 2.1)], -1))).toBeCloseTo(0.01, 3)
    expect(offset([wide, square(20, 0, 1.9)], -1)).toEqual(offset([wide], -1))
    expect(total(offset([square(20, 0, 1.9)], 1))).toBeGreaterThan(1.9 * 1.9)
  })
})
