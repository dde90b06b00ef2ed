import { mapPoint, mapRing, radians, wrapDegrees, inverse, type Affine, type Point, type Ring } from '../geometry'

export type SheetSide = 'A' | 'B'

/** Where a sheet lies: its origin on the skin (mm), degrees clockwise, and which side is up. */
export interface Placement { readonly at: Point, readonly tilt: number, readonly side: SheetSide }

/** The affine map from sheet to picture for a sheet that lies flat on the picture plane: side B is turned over before it is tilted. */
export function flatMap({ at, tilt, side }: Placement): Affine {
  const c = Math.cos(radians(tilt)), s = Math.sin(radians(tilt)), k = side === 'B' ? -1 : 1
  return [k * c, k * s, -s, c, at[0], at[1]]
}

/** What lies a sheet on the skin: rings and points from the sheet frame into the skin frame, and back. All of mm. */
export interface Laid {
  ring: (ring: Ring) => Ring
  point: (point: Point) => Point
  back: (point: Point) => Point
}

/** Lays a sheet on the skin. Every print, outline, handle and hit test goes through here. */
export function layOn(placement: Placement): Laid {
  const map = flatMap(placement)
  return { ring: ring => mapRing(map, ring), point: point => mapPoint(map, point), back: point => mapPoint(inverse(map), point) }
}

/** The exact mirror image of a placement across the midline: the sheet is turned over and leans the other way. */
export function mirroredPlacement({ at, tilt, side }: Placement): Placement {
  return { at: [at[0] === 0 ? 0 : -at[0], at[1]], tilt: wrapDegrees(-tilt), side: side === 'A' ? 'B' : 'A' }
}
