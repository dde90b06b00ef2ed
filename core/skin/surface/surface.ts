import type { Point } from '../../geometry'

/**
 * The exponential map at a point of the skin: where a sheet that is pressed down there comes to lie.
 * Tangent coordinates (u, v) are mm on the flat sheet, u along the picture's x and v along its y as they run
 * through the point.
 */
export interface Exponential {
  /**
   * Brings tangent coordinates, points[k] and points[k + 1], to the skin point where they come to lie, in place;
   * mm. By their store, as numbers that are handed on one by one are wrapped each time.
   */
  readonly to: (points: Float64Array, k: number) => void
  /** The tangent coordinates of a skin point, mm. */
  readonly from: (x: number, y: number) => Point
  /**
   * Stretch across the way out at (u, v): J / r - 1. Below 0 the sheet has too much material there and
   * puckers, above 0 it is pulled tight.
   */
  readonly stretch: (u: number, v: number) => number
}

/** A skin in its own two coordinates (mm). */
export interface Surface {
  /** Whether it unrolls without stretching: a sheet then lies on it everywhere. */
  readonly unrolls?: boolean
  /** Writes the point in space of (x, y) into out[k .. k + 2], mm: x right, y down, z toward the painter. */
  readonly position: (x: number, y: number, out: Float64Array, k?: number) => void
  /** Writes the unit normal at (x, y), toward the painter. */
  readonly normal: (x: number, y: number, out: Float64Array) => void
  /**
   * The exponential map at a point.
   * @param quick coarser, for what moves under the hand
   */
  readonly exponential: (at: Point, quick?: boolean) => Exponential
}

/** Keeps the exponential maps of the last points, as the same sheets are laid again and again. */
export function remembering(
  make: (at: Point, quick: boolean) => Exponential,
  most = 48,
): Surface['exponential'] {
  const known = new Map<string, Exponential>()
  return (at, quick = false) => {
    const key = `${at[0]} ${at[1]} ${quick}`
    let found = known.get(key)
    if (found) known.delete(key)
    else found = make(at, quick)
    known.set(key, found)
    if (known.size > most) known.delete(known.keys().next().value!)
    return found
  }
}
