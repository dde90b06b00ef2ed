import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  boxesMeet,
  clockwise,
  distanceBetween,
  reversed,
  shareAlong,
  shareOnLine,
  signedArea,
  splitLength,
  tenth,
  tenthPoint,
  wrapDegrees,
  type Box,
  type Ring,
} from '#core/geometry'
import { distanceToRing } from '#core/stencil'

const whole = fc.integer({ min: -50, max: 50 })
const point = fc.tuple(whole, whole)
const box = fc.tuple(whole, whole, fc.integer({ min: 1, max: 30 }), fc.integer({ min: 1, max: 30 }))
const ringOf = (points: readonly (readonly [number, number])[]): Ring => Float64Array.from(points.flat())
const square = (x: number, y: number, side: number): Ring =>
  Float64Array.of(x, y, x + side, y, x + side, y + side, x, y + side)

/** The distance of a point from a ring by looking at many points of it: never too small. */
function sampledDistance(ring: Ring, x: number, y: number, samples: number): number {
  let least = Infinity
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2)
    for (let k = 0; k <= samples; k++) {
      const t = k / samples
      const px = ring[j]! + (ring[i]! - ring[j]!) * t
      const py = ring[j + 1]! + (ring[i + 1]! - ring[j + 1]!) * t
      least = Math.min(least, Math.hypot(px - x, py - y))
    }
  return least
}

describe('how far a point lies from an edge', () => {
  it('is what looking at many points of the ring finds, whatever the ring', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 9 }), point, (points, [x, y]) => {
        const ring = ringOf(points)
        const found = distanceToRing(ring, x, y)
        const sampled = sampledDistance(ring, x, y, 400)
        expect(found).toBeLessThanOrEqual(sampled + 1e-9)
        // No edge is longer than 142, so that no sample lies farther than 0.18 from the nearest point.
        expect(sampled - found).toBeLessThan(0.18)
      }),
    )
  })

  it('counts the ends of a segment where the foot of the perpendicular lies beyond them', () => {
    expect(shareAlong(5, 3, 0, 0, 10, 0)).toBe(0.5)
    expect(shareAlong(-4, 3, 0, 0, 10, 0)).toBe(0)
    expect(shareAlong(14, 3, 0, 0, 10, 0)).toBe(1)
    expect(shareOnLine(-5, 3, 0, 0, 10, 0)).toBe(-0.5)
    expect(shareOnLine(15, 3, 0, 0, 10, 0)).toBe(1.5)
  })

  it('is measured from the one point of a segment without length', () => {
    expect(shareOnLine(7, 7, 2, 2, 2, 2)).toBe(0)
    expect(distanceToRing(Float64Array.of(2, 2, 2, 2, 2, 2), 5, 6)).toBe(5)
  })

  it('is the same from either of two regions, corner to corner and side to side', () => {
    const region = (ring: Ring) => [{ outer: ring, holes: [] }]
    const a = region(square(0, 0, 10))
    expect(distanceBetween(a, region(square(13, 14, 5)))).toBe(5)
    expect(distanceBetween(a, region(square(12, 2, 3)))).toBe(2)
    expect(distanceBetween(region(square(12, 2, 3)), a)).toBe(2)
    expect(distanceBetween(a, [])).toBe(Infinity)
  })
})

describe('boxes and windings', () => {
  it('boxes meet just when they have whole squares in common', () => {
    const of = ([minX, minY, w, h]: readonly number[]): Box => ({
      minX: minX!,
      minY: minY!,
      maxX: minX! + w!,
      maxY: minY! + h!,
    })
    const squares = ({ minX, minY, maxX, maxY }: Box): Set<string> => {
      const out = new Set<string>()
      for (let x = minX; x < maxX; x++) for (let y = minY; y < maxY; y++) out.add(`${x} ${y}`)
      return out
    }
    fc.assert(
      fc.property(box, box, (p, q) => {
        const inP = squares(of(p))
        const common = [...squares(of(q))].some(s => inP.has(s))
        expect(boxesMeet(of(p), of(q))).toBe(common)
      }),
    )
  })

  it('a print and its mirror image run the same way, holes against it', () => {
    const print = [square(0, 0, 10), reversed(square(3, 3, 2))]
    const mirror = print.map(r => r.map((v, i) => (i % 2 ? v : -v)))
    for (const rings of [clockwise(print), clockwise(mirror)]) {
      const [outer, hole] = rings.map(signedArea)
      expect(outer).toBeCloseTo(100, 9)
      expect(hole).toBeCloseTo(-4, 9)
    }
    expect([...reversed(reversed(print[0]!))]).toEqual([...print[0]!])
  })
})

describe('numbers as a look keeps them', () => {
  it('are tenths, and never a minus nought', () => {
    expect(tenthPoint([1.25, -3.04])).toEqual([1.3, -3])
    expect(Object.is(tenth(-0.04), 0)).toBe(true)
  })

  it('angles come into one turn and keep their direction', () => {
    fc.assert(
      fc.property(fc.integer({ min: -2000, max: 2000 }), angle => {
        const wrapped = wrapDegrees(angle)
        expect(wrapped).toBeGreaterThan(-180)
        expect(wrapped).toBeLessThanOrEqual(180)
        expect(Math.abs((angle - wrapped) % 360)).toBe(0)
      }),
    )
  })

  it('a length falls into its number and its unit, anything else into nothing', () => {
    expect(splitLength('12.5MM')).toEqual({ value: 12.5, unit: 'mm' })
    expect(splitLength('-3e1')).toEqual({ value: -30, unit: '' })
    for (const text of ['', 'mm', '1.2.3', '1e999']) expect(splitLength(text), text).toBeNull()
  })
})
