import fc from 'fast-check'
import { converter } from 'culori'
import { describe, expect, it } from 'vitest'
import {
  circlePieces,
  ellipsePoints,
  flattenCubic,
  perimeter,
  signedArea,
  smoothThrough,
} from '#core/geometry'
import { linearOf, srgbByte } from '#core/paint'
import { monotoneCubic } from '#core/skin'
import { arcPoints, bulgePoints, ellipseArc, splinePoints } from '../../core/stencil/dxf/curves'

describe('flattening stays within its tolerance', () => {
  // A chord of a circle of radius r that spans the angle a lies r (1 - cos(a / 2)) off it (the sagitta).
  it.each([
    [1, 0.02],
    [5, 0.02],
    [40, 0.05],
    [0.5, 0.01],
  ])('a circle of %d mm at %d mm', (r, tolerance) => {
    expect(r * (1 - Math.cos(Math.PI / circlePieces(r, tolerance)))).toBeLessThanOrEqual(tolerance + 1e-12)
    const ring = Float64Array.from(ellipsePoints(3, -2, r, r, tolerance))
    expect(Math.abs(Math.abs(signedArea(ring)) - Math.PI * r * r)).toBeLessThan(2 * Math.PI * r * tolerance)
    expect(perimeter(ring)).toBeLessThan(2 * Math.PI * r)
  })

  it('any cubic, against a fine sampling of it', () => {
    const v = fc.double({ min: -60, max: 60, noNaN: true })
    fc.assert(
      fc.property(fc.tuple(v, v, v, v, v, v, v, v), c => {
        const out = [c[0], c[1]]
        flattenCubic(out, ...c, 0.05)
        for (let i = 0; i <= 60; i++) {
          const t = i / 60
          const u = 1 - t
          const b = [u ** 3, 3 * u * u * t, 3 * u * t * t, t ** 3]
          const x = b[0]! * c[0] + b[1]! * c[2] + b[2]! * c[4] + b[3]! * c[6]
          const y = b[0]! * c[1] + b[1]! * c[3] + b[2]! * c[5] + b[3]! * c[7]
          let least = Infinity
          for (let k = 0; k + 3 < out.length; k += 2) {
            const dx = out[k + 2]! - out[k]!
            const dy = out[k + 3]! - out[k + 1]!
            const l2 = dx * dx + dy * dy
            const s =
              l2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - out[k]!) * dx + (y - out[k + 1]!) * dy) / l2))
            least = Math.min(least, Math.hypot(x - out[k]! - s * dx, y - out[k + 1]! - s * dy))
          }
          expect(least).toBeLessThan(0.051)
        }
      }),
      { numRuns: 60 },
    )
  })
})

describe('DXF curves against closed forms', () => {
  // DXF reference, LWPOLYLINE: bulge = tan(included angle / 4); 1 is a half circle, anticlockwise when
  // positive.
  it.each([
    [1, Math.PI],
    [-1, Math.PI],
    [0.41421356237, Math.PI / 2],
    [2.41421356237, (3 * Math.PI) / 2],
  ])('a bulge of %d spans %d rad', (bulge, angle) => {
    const flat = [0, 0, ...bulgePoints(0, 0, 10, 0, bulge, 1e-4)]
    const r = 5 / Math.sin(angle / 2)
    let length = 0
    for (let i = 2; i < flat.length; i += 2)
      length += Math.hypot(flat[i]! - flat[i - 2]!, flat[i + 1]! - flat[i - 1]!)
    expect(length).toBeCloseTo(r * angle, 2)
    const middle = flat[2 * Math.floor(flat.length / 4) + 1]!
    expect(Math.sign(middle)).toBe(-Math.sign(bulge))
  })

  it('an arc keeps its radius and its ends', () => {
    const flat = arcPoints(2, 3, 7, 0.5, 2.5)
    for (let i = 0; i < flat.length; i += 2)
      expect(Math.hypot(flat[i]! - 2, flat[i + 1]! - 3)).toBeCloseTo(7, 10)
    expect(flat.slice(0, 2)).toEqual([2 + 7 * Math.cos(0.5), 3 + 7 * Math.sin(0.5)])
  })

  it('an ellipse has the area pi a b and obeys its equation', () => {
    const { points, closed } = ellipseArc(0, 0, 12, 5, 0.4, 0, 2 * Math.PI, 1e-4)
    expect(closed).toBe(true)
    expect(Math.abs(signedArea(Float64Array.from(points)))).toBeCloseTo(Math.PI * 13 * 13 * 0.4, 1)
    expect(ellipseArc(0, 0, 12, 0, 0.5, 0, Math.PI).closed).toBe(false)
  })

  // A quadratic rational Bezier with weights 1, cos(a/2), 1 is an exact circular arc (Farin, Curves and
  // Surfaces for CAGD).
  it('a rational spline draws an exact quarter circle', () => {
    const flat = splinePoints(2, [0, 0, 0, 1, 1, 1], [10, 0, 10, 10, 0, 10], [1, Math.SQRT1_2, 1])
    for (let i = 0; i < flat.length; i += 2) expect(Math.hypot(flat[i]!, flat[i + 1]!)).toBeCloseTo(10, 10)
  })

  // A clamped cubic with one span is the Bezier of its control points.
  it('a cubic spline of one span is a Bezier', () => {
    const flat = splinePoints(3, [0, 0, 0, 0, 1, 1, 1, 1], [0, 0, 1, 4, 5, 4, 6, 0], null, 4)
    expect(flat.slice(4, 6)).toEqual([
      expect.closeTo((0 + 3 * 1 + 3 * 5 + 6) / 8, 10),
      expect.closeTo((3 * 4 + 3 * 4) / 8, 10),
    ])
    expect(flat.slice(-2)).toEqual([expect.closeTo(6, 10), expect.closeTo(0, 10)])
    expect(() => splinePoints(3, [0, 1], [0, 0, 1, 1], null)).toThrow(/knots/)
  })
})

// IEC 61966-2-1 (sRGB): the transfer function, against culori's own.
it('linear light against the sRGB standard', () => {
  const rgb = converter('rgb')
  for (let i = 0; i <= 200; i++) {
    const linear = i / 200
    const { r } = rgb({ mode: 'lrgb', r: linear, g: 0, b: 0 })
    expect(Math.abs(srgbByte(linear) - r * 255)).toBeLessThan(1.2)
  }
  // The standard's own middle grey: sRGB 0.5 is 0.21404 in linear light.
  expect(linearOf('#808080')[0]).toBeCloseTo(((128 / 255 + 0.055) / 1.055) ** 2.4, 9)
})

// Fritsch and Carlson 1980: the interpolant passes through its data and is monotone where they are.
it('the monotone cubic neither misses nor overshoots its table', () => {
  const table = [
    [0, 0],
    [1, 0.1],
    [2, 5],
    [3, 5.1],
    [5, 9],
  ] as const
  const f = monotoneCubic(table)
  for (const [x, y] of table) expect(f(x)).toBeCloseTo(y, 12)
  let last = -1
  for (let x = -1; x <= 6; x += 0.01) {
    expect(f(x)).toBeGreaterThanOrEqual(last - 1e-12)
    last = f(x)
  }
  expect([f(-9), f(99)]).toEqual([0, 9])
})

// A Catmull-Rom curve passes through its points.
it('a smooth curve passes through its points', () => {
  const points = [
    [0, 0],
    [4, 3],
    [9, 1],
    [7, -4],
  ] as const
  const flat = smoothThrough(points, true, 8)
  points.forEach(([x, y], i) =>
    expect([flat[16 * i], flat[16 * i + 1]]).toEqual([expect.closeTo(x, 12), expect.closeTo(y, 12)]),
  )
  expect(smoothThrough(points, false, 8).slice(-2)).toEqual([7, -4])
})
