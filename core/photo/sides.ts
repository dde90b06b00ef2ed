import type { Point } from '../geometry'
import type { Picture } from './picture'

/** Where two lines meet, each through two points; null when they run alike. */
export function meeting(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]]
  const cross = ux * vy - uy * vx
  if (Math.abs(cross) < 1e-9) return null
  const t = ((c[0] - a[0]) * vy - (c[1] - a[1]) * vx) / cross
  return [a[0] + t * ux, a[1] + t * uy]
}

/** The colour of a picture along the way from the ground's to the sheet's, as a function of a point. */
export function along(picture: Picture, ground: readonly number[], sheet: readonly number[]) {
  const way = [0, 1, 2].map(c => sheet[c]! - ground[c]!)
  const length = Math.hypot(...way) || 1
  const { width, height, data } = picture
  const pixel = (i: number, j: number) => {
    const k = 4 * (Math.min(height - 1, Math.max(0, j)) * width + Math.min(width - 1, Math.max(0, i)))
    return way.reduce((s, v, c) => s + (v * (data[k + c]! - ground[c]!)) / length, 0)
  }
  return (x: number, y: number) => {
    const u = x - 0.5
    const v = y - 0.5
    const [i, j] = [Math.floor(u), Math.floor(v)]
    const [s, t] = [u - i, v - j]
    return (
      (pixel(i, j) * (1 - s) + pixel(i + 1, j) * s) * (1 - t) +
      (pixel(i, j + 1) * (1 - s) + pixel(i + 1, j + 1) * s) * t
    )
  }
}

/** Places on each side of a sheet where its edge is looked for. */
const PLACES = 90

/** Where along a line across an edge the colour is half way from outside to inside; null when it never is. */
function crossing(value: (t: number) => number, reach: number): number | null {
  const step = Math.max(0.25, reach / 60)
  const n = Math.round((2 * reach) / step)
  const v = Array.from({ length: n + 1 }, (_, k) => value(-reach + k * step))
  // The place where it rises most over a few pixels; the edge is the middle of that rise.
  const span = Math.max(2, Math.min(Math.round(4 / step), n >> 2))
  let best = -Infinity
  let at = 0
  for (let k = 0; k + span <= n; k++)
    if (v[k + span]! - v[k]! > best) {
      best = v[k + span]! - v[k]!
      at = k
    }
  if (best < 6) return null
  const low = Math.max(0, at - span)
  const high = Math.min(n, at + 2 * span)
  const mean = (a: number, b: number) => {
    let s = 0
    for (let k = a; k <= b; k++) s += v[k]!
    return s / (b - a + 1)
  }
  const half = (mean(low, at) + mean(at + span, high)) / 2
  for (let k = Math.max(0, at - 1); k < Math.min(n, at + span + 1); k++)
    if (v[k]! <= half && v[k + 1]! > half)
      return -reach + (k + (half - v[k]!) / Math.max(1e-9, v[k + 1]! - v[k]!)) * step
  return null
}

/** The line through points, those far off left out by turns; as a point and a way. */
function lineThrough(points: readonly Point[]): { at: Point; way: Point } | null {
  let kept = points
  let line: { at: Point; way: Point } | null = null
  for (let n = 0; n < 6; n++) {
    if (kept.length < 8) return line
    const x = kept.reduce((s, p) => s + p[0], 0) / kept.length
    const y = kept.reduce((s, p) => s + p[1], 0) / kept.length
    let [xx, xy, yy] = [0, 0, 0]
    for (const p of kept) {
      xx += (p[0] - x) ** 2
      xy += (p[0] - x) * (p[1] - y)
      yy += (p[1] - y) ** 2
    }
    const turn = Math.atan2(2 * xy, xx - yy) / 2
    line = { at: [x, y], way: [Math.cos(turn), Math.sin(turn)] }
    const { way } = line
    const off = (p: Point) => Math.abs((p[0] - x) * way[1] - (p[1] - y) * way[0])
    const sorted = points.map(off).sort((a, b) => a - b)
    const limit = Math.max(0.5, 2.5 * sorted[Math.floor(0.6 * sorted.length)]!)
    kept = points.filter(p => off(p) <= limit)
  }
  return line
}

/** Moves corners to where the edges between them truly meet, by the edges' crossings across `reach` pixels. */
export function sharpened(
  corners: readonly Point[],
  value: (x: number, y: number) => number,
  reach: number,
): [Point, Point, Point, Point] {
  const lines = corners.map((a, k) => {
    const b = corners[(k + 1) % 4]!
    const l = Math.hypot(b[0] - a[0], b[1] - a[1])
    // Corners run clockwise with y down, so inward is to the right of the way.
    const inward: Point = [-(b[1] - a[1]) / l, (b[0] - a[0]) / l]
    const hits: Point[] = []
    for (let n = 0; n < PLACES; n++) {
      const s = 0.1 + (0.8 * n) / (PLACES - 1)
      const [x, y] = [a[0] + s * (b[0] - a[0]), a[1] + s * (b[1] - a[1])]
      const t = crossing(d => value(x + d * inward[0], y + d * inward[1]), reach)
      if (t !== null) hits.push([x + t * inward[0], y + t * inward[1]])
    }
    return hits.length > PLACES / 3 ? lineThrough(hits) : null
  })
  return corners.map((corner, k) => {
    const p = lines[(k + 3) % 4]
    const q = lines[k]
    const at =
      p && q
        ? meeting(p.at, [p.at[0] + p.way[0], p.at[1] + p.way[1]], q.at, [
            q.at[0] + q.way[0],
            q.at[1] + q.way[1],
          ])
        : null
    return at && Math.hypot(at[0] - corner[0], at[1] - corner[1]) < 4 * reach ? at : corner
  }) as [Point, Point, Point, Point]
}
