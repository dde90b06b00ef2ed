import { bearing, distance, radians, tenth, tenthPoint, wrapDegrees, type Point } from '../../geometry'
import type { Ground } from '../../skin'
import type { Twin } from '../document'
import { anchorOf } from './handles'

/** How far up a sheet a second point is carried along, to tell how it leans there, mm. */
const REACH = 10

/** A placement carried along a map of points: a second point up the sheet tells how it leans there. */
export function carried<P extends { at: [number, number]; tilt: number }>(
  place: P,
  map: (at: Point) => Point,
): P {
  const up: Point = [
    place.at[0] + REACH * Math.sin(radians(place.tilt)),
    place.at[1] - REACH * Math.cos(radians(place.tilt)),
  ]
  const at = map(place.at)
  const lean = wrapDegrees(bearing(at, map(up)) - place.tilt)
  // A sheet on the midline stays straight to the digit.
  return {
    ...place,
    at: tenthPoint(at),
    tilt: tenth(wrapDegrees(place.tilt + (Math.abs(lean) < 0.05 ? 0 : lean))),
  }
}

/** Carries what a twin says of places along a map, in place; only a face has features. */
export function carryTwin(twin: Twin, map: (at: Point) => Point, to: Ground): void {
  if (twin.about) twin.about = tenthPoint(map(twin.about))
  if (twin.rule === 'features' && !to.face) twin.rule = 'midline'
}

/** Four points about a single handle by which it is told how lengths change there, mm from it. */
const ABOUT: readonly Point[] = [
  [8, 0],
  [-8, 0],
  [0, 8],
  [0, -8],
]

/** How handles draw apart (over 1) or together under a map, at most by six tenths. */
export function growthUnder(points: readonly Point[], map: (at: Point) => Point): number {
  const spread = (list: readonly Point[]) => list.reduce((s, p) => s + distance(p, anchorOf(list)), 0)
  const anchor = anchorOf(points)
  const several = points.length > 1
  const before = several ? spread(points) : 4 * 8
  const after = several
    ? spread(points.map(map))
    : spread(ABOUT.map(([x, y]) => map([anchor[0] + x, anchor[1] + y])))
  return before > 0 ? Math.min(1.6, Math.max(0.6, after / before)) : 1
}
