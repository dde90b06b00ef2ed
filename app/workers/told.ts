import type { Finding } from '#core/checks'
import type { Flow, LookTimes, PaintUse } from '#core/look'
import type { Balance, EmptySpot } from '#core/raster'
import type { Outcome } from './outcomes'

/**
 * Everything that is told of a look besides its picture: findings, outcomes, how long it takes with what is
 * waited for, and what it takes of each paint.
 */
export interface Told {
  readonly findings: Finding[]
  readonly outcomes: Outcome[]
  readonly times: LookTimes
  readonly paintUse: PaintUse[]
}

/** How a look hangs together. */
export interface Composition {
  readonly flow: Flow
  readonly spots: EmptySpot[]
  readonly balance: Balance
}
