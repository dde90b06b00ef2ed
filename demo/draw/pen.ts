import svgpath from 'svgpath'
import type { Point, Polygon, Ring } from '../../core/geometry'
import { hash } from '../../core/raster/grid'

/** Path data of one or more closed outlines, in mm about the sheet's centre. */
export type Shape = string

const f = (v: number): string => String(Math.round(v * 1000) / 1000 + 0)
const p = (x: number, y: number): string => `${f(x)} ${f(y)}`

const rad = (deg: number): number => (deg * Math.PI) / 180
/** A point at an angle (degrees clockwise from up) and a distance. */
export const polar = (x: number, y: number, angle: number, r: number): Point => [
  x + r * Math.sin(rad(angle)),
  y - r * Math.cos(rad(angle)),
]

/** A smooth closed outline through points (Catmull-Rom as cubics). */
export function smooth(points: readonly Point[]): Shape {
  const n = points.length
  const at = (i: number) => points[(i + n) % n]!
  let d = `M${p(...at(0))}`
  for (let i = 0; i < n; i++) {
    const [a, b, c, e] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    d += `C${p(b[0] + (c[0] - a[0]) / 6, b[1] + (c[1] - a[1]) / 6)} ${p(c[0] - (e[0] - b[0]) / 6, c[1] - (e[1] - b[1]) / 6)} ${p(c[0], c[1])}`
  }
  return `${d}Z`
}

export const poly = (points: readonly Point[]): Shape => `M${points.map(q => p(...q)).join('L')}Z`
export const disc = (x: number, y: number, r: number): Shape =>
  `M${p(x - r, y)}a${f(r)} ${f(r)} 0 1 1 ${f(2 * r)} 0a${f(r)} ${f(r)} 0 1 1 ${f(-2 * r)} 0Z`

const ringPath = (ring: Ring): string => {
  const q: Point[] = []
  for (let i = 0; i < ring.length; i += 2) q.push([ring[i]!, ring[i + 1]!])
  return poly(q)
}
/** Clipped regions as path data, holes included. */
export const regions = (polygons: readonly Polygon[]): Shape[] =>
  polygons.map(g => [g.outer, ...g.holes].map(ringPath).join(''))

/** A leaf: pointed at both ends, along `angle` from its foot; `bend` curves it sideways (mm). */
export function leaf(
  x: number,
  y: number,
  angle: number,
  length: number,
  width: number,
  bend = 0,
  belly = 0.5,
): Shape {
  const to = (t: number, side: number): Point => {
    const [cx, cy] = polar(x, y, angle, length * t)
    const a = rad(angle + 90)
    const s = side + bend * 4 * t * (1 - t)
    return [cx + s * Math.sin(a), cy - s * Math.cos(a)]
  }
  const tip = to(1, 0)
  const w = width / 2
  return `M${p(x, y)}C${p(...to(belly * 0.55, -w * 1.3))} ${p(...to(belly + 0.28, -w * 1.25))} ${p(...tip)}C${p(...to(belly + 0.28, w * 1.25))} ${p(...to(belly * 0.55, w * 1.3))} ${p(x, y)}Z`
}

/** A teardrop: round head at (x, y), tail of `length` along `angle`. */
export function drop(x: number, y: number, angle: number, length: number, r: number, bend = 0): Shape {
  const side = (t: number, s: number): Point => {
    const [cx, cy] = polar(x, y, angle, length * t)
    const a = rad(angle + 90)
    const q = s + bend * t * t
    return [cx + q * Math.sin(a), cy - q * Math.cos(a)]
  }
  const l = polar(x, y, angle - 90, r)
  const q = polar(x, y, angle + 90, r)
  return `M${p(...l)}C${p(...side(0.35, -r))} ${p(...side(0.7, -r * 0.22))} ${p(...side(1, 0))}C${p(...side(0.7, r * 0.22))} ${p(...side(0.35, r))} ${p(...q)}A${f(r)} ${f(r)} 0 0 1 ${p(...l)}Z`
}

/** A star with rounded feel: `points` tips at radius `r`, hollows at `inner`. */
export function star(x: number, y: number, r: number, inner: number, points = 5, turn = 0): Shape {
  return poly(
    Array.from({ length: 2 * points }, (_, i) => polar(x, y, turn + (180 * i) / points, i % 2 ? inner : r)),
  )
}

/** A band along a curve: `at(t)` its middle, `width(t)` its full width, t from 0 to 1. */
export function band(at: (t: number) => Point, width: (t: number) => number, steps = 40): Shape {
  const left: Point[] = []
  const right: Point[] = []
  const e = 1e-3
  for (let i = 0; i <= steps; i++) {
    const t = i / steps
    const [x, y] = at(t)
    const [ax, ay] = at(Math.max(0, t - e))
    const [bx, by] = at(Math.min(1, t + e))
    const l = Math.hypot(bx - ax, by - ay) || 1
    const h = Math.max(0.04, width(t) / 2)
    const nx = -(by - ay) / l
    const ny = (bx - ax) / l
    left.push([x + nx * h, y + ny * h])
    right.unshift([x - nx * h, y - ny * h])
  }
  return smooth([...left, ...right])
}

/** Thin, thick, thin. */
export const swell =
  (most: number, least = 0.3, peak = 0.5) =>
  (t: number): number =>
    least +
    (most - least) *
      Math.sin(Math.PI * Math.min(1, t < peak ? t / peak / 2 : 0.5 + (t - peak) / (1 - peak) / 2)) ** 1.1

/** A repeatable random number in [a, b) for a place in a drawing. */
export const among = (a: number, b: number, i: number, j = 0, seed = 0): number =>
  a + (b - a) * hash(i, j, seed)

/** A shape's mirror image across the sheet's upright middle. */
export const flipped = (shape: Shape): Shape => svgpath(shape).scale(-1, 1).toString()

/** A shape made larger or smaller about the sheet's middle. */
export const scaled = (shape: Shape, across: number, down = across): Shape =>
  svgpath(shape).scale(across, down).toString()
