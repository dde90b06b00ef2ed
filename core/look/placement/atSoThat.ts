import { tenthPoint, type Point } from '../../geometry'
import { layOn, type Ground, type Placement } from '../../skin'

/**
 * Where a sheet held at its middle must lie so that a point of it lies where told.
 * @param point in the sheet's frame
 * @param there on the skin
 * @param quick coarser, for what moves under the hand
 */
export function atSoThat(
  point: Point,
  there: Point,
  { tilt, side }: Pick<Placement, 'tilt' | 'side'>,
  ground: Ground,
  quick = false,
): [number, number] {
  let at: Point = there
  for (let n = 0; n < 5; n++) {
    const [x, y] = layOn(ground.surface, { at, tilt, side }, quick).point(point)
    const dx = there[0] - x
    const dy = there[1] - y
    at = [at[0] + dx, at[1] + dy]
    if (Math.hypot(dx, dy) < 0.02) break
  }
  return tenthPoint(at)
}

/** Where a point of a sheet lies on the skin. */
export const liesAt = (point: Point, placement: Placement, ground: Ground): Point =>
  layOn(ground.surface, placement).point(point)
