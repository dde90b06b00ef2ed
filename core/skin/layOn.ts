import { radians, wrapDegrees, type Point, type Ring } from '../geometry'
import type { Exponential, Surface } from './surface'

export type SheetSide = 'A' | 'B'

/**
 * Where a sheet lies: the point of the skin on which it is pressed (mm), degrees clockwise, and which side is
 * up.
 */
export interface Placement {
  readonly at: Point
  readonly tilt: number
  readonly side: SheetSide
  /** The point of the sheet that is pressed down there, in the sheet frame (mm); its centre when left out. */
  readonly grip?: Point
}

/**
 * What lies a sheet on the skin: rings and points from the sheet frame into the skin frame, and back. All of
 * mm.
 */
export interface Laid {
  readonly ring: (ring: Ring) => Ring
  readonly point: (point: Point) => Point
  readonly back: (point: Point) => Point
  /** Stretch of the sheet at one of its points; see Exponential. */
  readonly stretch: (point: Point) => number
  /** Tangent coordinates of a point of the sheet, mm. */
  readonly flat: (point: Point) => Point
  readonly exponential: Exponential
}

/** The turn from sheet to tangent coordinates: side B is turned over before it is tilted. */
function turning({ tilt, side }: Placement): readonly [number, number, number, number] {
  const c = Math.cos(radians(tilt))
  const s = Math.sin(radians(tilt))
  const k = side === 'B' ? -1 : 1
  return [k * c, k * s, -s, c]
}

/**
 * Lays a sheet on a skin: it is pressed down at its grip and follows the skin along geodesics. Every print,
 * outline, handle and hit test goes through here.
 * @param quick coarser, for what moves under the hand
 */
export function layOn(surface: Surface, placement: Placement, quick = false): Laid {
  const [a, b, c, d] = turning(placement)
  const [gx, gy] = placement.grip ?? [0, 0]
  const exponential = surface.exponential(placement.at, quick)
  const here = new Float64Array(2)
  const flat = ([x, y]: Point): Point => [a * (x - gx) + c * (y - gy), b * (x - gx) + d * (y - gy)]
  return {
    exponential,
    flat,
    ring(ring) {
      const out = new Float64Array(ring.length)
      for (let i = 0; i < ring.length; i += 2) {
        const x = ring[i]! - gx
        const y = ring[i + 1]! - gy
        out[i] = a * x + c * y
        out[i + 1] = b * x + d * y
        exponential.to(out, i)
      }
      return out
    },
    point(p) {
      here.set(flat(p))
      exponential.to(here, 0)
      return [here[0]!, here[1]!]
    },
    back([x, y]) {
      // The turn is its own inverse transposed.
      const [u, v] = exponential.from(x, y)
      return [a * u + b * v + gx, c * u + d * v + gy]
    },
    stretch: p => exponential.stretch(...flat(p)),
  }
}

/**
 * The exact mirror image of a placement across the midline: the sheet is turned over and leans the other way.
 */
export function mirroredPlacement({ at, tilt, side, grip }: Placement): Placement {
  return {
    at: [at[0] === 0 ? 0 : -at[0], at[1]],
    tilt: wrapDegrees(-tilt),
    side: side === 'A' ? 'B' : 'A',
    ...(grip && { grip }),
  }
}
