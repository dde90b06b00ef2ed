import Flatbush from 'flatbush'
import { shareAlong, signedArea } from '../../geometry'
import type { SheetGeometry } from '../types'

/**
 * Every straight piece of the openings' rings, with neighbours along the ring and a spatial index.
 * Rings are run so that the opening lies on the same side of every piece: its inward normal is (-dy, dx).
 */
export interface Edges {
  readonly count: number
  readonly x0: Float64Array
  readonly y0: Float64Array
  readonly x1: Float64Array
  readonly y1: Float64Array
  /** The piece before and after, along the ring. */
  readonly before: Int32Array
  readonly after: Int32Array
  readonly ring: Int32Array
  readonly opening: Int32Array
  /** Way along the ring to the start of the piece, and the ring's whole length, mm. */
  readonly along: Float64Array
  readonly whole: Float64Array
  readonly index: Flatbush
}

/** Collects the edges of a sheet's openings. */
export function edgesOf({ openings }: Pick<SheetGeometry, 'openings'>): Edges {
  const rings = openings.flatMap((o, opening) =>
    [o.outer, ...o.holes].map((ring, i) => ({ ring, opening, inward: (i === 0) === signedArea(ring) > 0 })),
  )
  const count = rings.reduce((n, r) => n + r.ring.length / 2, 0)
  const make = () => new Float64Array(count)
  const ints = () => new Int32Array(count)
  const e = {
    count,
    x0: make(),
    y0: make(),
    x1: make(),
    y1: make(),
    before: ints(),
    after: ints(),
    ring: ints(),
    opening: ints(),
    along: make(),
    whole: make(),
    index: new Flatbush(Math.max(1, count)),
  }
  let k = 0
  rings.forEach(({ ring, opening, inward }, r) => {
    const n = ring.length / 2
    const first = k
    let way = 0
    for (let i = 0; i < n; i++, k++) {
      const a = inward ? i : n - 1 - i
      const b = inward ? (i + 1) % n : (2 * n - 2 - i) % n
      e.x0[k] = ring[2 * a]!
      e.y0[k] = ring[2 * a + 1]!
      e.x1[k] = ring[2 * b]!
      e.y1[k] = ring[2 * b + 1]!
      e.before[k] = first + ((i + n - 1) % n)
      e.after[k] = first + ((i + 1) % n)
      e.ring[k] = r
      e.opening[k] = opening
      e.along[k] = way
      way += Math.hypot(e.x1[k]! - e.x0[k]!, e.y1[k]! - e.y0[k]!)
      e.index.add(
        Math.min(e.x0[k]!, e.x1[k]!),
        Math.min(e.y0[k]!, e.y1[k]!),
        Math.max(e.x0[k]!, e.x1[k]!),
        Math.max(e.y0[k]!, e.y1[k]!),
      )
    }
    e.whole.fill(way, first, k)
  })
  if (count === 0) e.index.add(0, 0, 0, 0)
  e.index.finish()
  return e
}

/**
 * The nearest points of two straight pieces and their distance, mm: [px, py, qx, qy, distance] written into
 * `out`.
 */
export function nearestOf(e: Edges, i: number, j: number, out: Float64Array): void {
  out[4] = Infinity
  project(e.x0[i]!, e.y0[i]!, e, j, out, false)
  project(e.x1[i]!, e.y1[i]!, e, j, out, false)
  project(e.x0[j]!, e.y0[j]!, e, i, out, true)
  project(e.x1[j]!, e.y1[j]!, e, i, out, true)
}

/** The distance of a point from a piece, mm. */
export function distanceTo(e: Edges, k: number, x: number, y: number): number {
  const x0 = e.x0[k]!
  const y0 = e.y0[k]!
  const x1 = e.x1[k]!
  const y1 = e.y1[k]!
  const t = shareAlong(x, y, x0, y0, x1, y1)
  return Math.hypot(x - x0 - t * (x1 - x0), y - y0 - t * (y1 - y0))
}

function project(x: number, y: number, e: Edges, k: number, out: Float64Array, swap: boolean): void {
  const x0 = e.x0[k]!
  const y0 = e.y0[k]!
  const x1 = e.x1[k]!
  const y1 = e.y1[k]!
  const t = shareAlong(x, y, x0, y0, x1, y1)
  const qx = x0 + t * (x1 - x0)
  const qy = y0 + t * (y1 - y0)
  const d = Math.sqrt((x - qx) * (x - qx) + (y - qy) * (y - qy))
  if (d >= out[4]!) return
  // Written one by one: this runs some ten million times for a fine sheet.
  out[0] = swap ? qx : x
  out[1] = swap ? qy : y
  out[2] = swap ? x : qx
  out[3] = swap ? y : qy
  out[4] = d
}
