import type { Point } from '../../geometry'
import type { Ground, ZoneId } from '../../skin'

/** A look on its way from one canvas to another: how points, zones and placements go over. */
export interface Transfer {
  readonly from: Ground
  readonly to: Ground
  /** Where a point of the one canvas lies on the other, mm. */
  readonly map: (at: Point) => Point
  /** The zones of the other canvas that stand for some zones. */
  readonly zones: (ids: readonly ZoneId[]) => ZoneId[]
}
