import type { Rigid } from '../../../geometry'

/** How well one sheet lies in register with another. */
export interface RegisterFit extends Rigid {
  /** Root mean square distance of the matched points, mm. */
  readonly residual: number
  /** How far the sheet may slip before the first node leaves its opening (or its bridge), mm. */
  readonly tolerance: number
  readonly matched: number
}
