import type { Point, Ring } from '../geometry'

/** A picture of the skin on a plane: from skin coordinates to the picture's, and back; mm on both sides. */
export interface Chart {
  readonly point: (at: Point) => Point
  readonly ring: (ring: Ring) => Ring
  /** The skin point that a point of the picture shows; null where it shows none. */
  readonly back: (at: Point) => Point | null
}

/** A picture whose coordinates are the skin's own. */
export const SAME: Chart = { point: at => at, ring: ring => ring, back: at => at }

/** A chart from its map of points. */
export function chartOf(point: (x: number, y: number) => Point, back: Chart['back']): Chart {
  return {
    point: ([x, y]) => point(x, y),
    ring(ring) {
      const out = new Float64Array(ring.length)
      for (let i = 0; i < ring.length; i += 2) {
        const [x, y] = point(ring[i]!, ring[i + 1]!)
        out[i] = x
        out[i + 1] = y
      }
      return out
    },
    back,
  }
}
