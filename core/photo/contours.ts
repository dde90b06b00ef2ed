import { contours } from 'd3-contour'
import type { Polygon, Ring } from '../geometry'
import type { Plane } from './picture'

/** Changes between sheet and ground along the rows, by the pixels of the rows: a grainy picture has more. */
const GRAINY = 0.06

/** Throws RangeError with a sentence when a plane is too grainy at a level for its edges to be followed. */
function checkGrain({ width, height, values }: Plane, level: number): void {
  let changes = 0
  for (let k = 1; k < values.length; k++) if (values[k]! >= level !== values[k - 1]! >= level) changes++
  if (changes > GRAINY * width * height)
    throw new RangeError(
      'At this threshold the picture is nothing but grain. Move the threshold back, or take the photograph in more light.',
    )
}

const ringOfLoop = (loop: readonly number[][]): Ring => {
  // The loop's last point is its first again.
  const ring = new Float64Array(2 * (loop.length - 1))
  for (let i = 0; i + 1 < loop.length; i++) {
    ring[2 * i] = loop[i]![0]!
    ring[2 * i + 1] = loop[i]![1]!
  }
  return ring
}

/**
 * Where a plane is at least `level`, as polygons with holes, in pixels: marching squares with linear
 * interpolation (d3-contour).
 * @throws RangeError with a sentence when there is too much grain to follow
 */
export function regionsAbove(plane: Plane, level: number): Polygon[] {
  checkGrain(plane, level)
  const { coordinates } = contours()
    .size([plane.width, plane.height])
    .smooth(true)
    .contour(plane.values as unknown as number[], level)
  return coordinates.map(([outer, ...holes]) => ({
    outer: ringOfLoop(outer!),
    holes: holes.map(ringOfLoop),
  }))
}
