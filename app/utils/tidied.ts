import {
  boundOrder,
  groundFor,
  rideAlong,
  ridersOf,
  settle as settleRegisters,
  type Command,
} from '#core/look'

/**
 * What every change of a look ends with: sheets in register go where their hosts went, bases go with the sheets
 * above them, and glitter follows its wet paint.
 */
export const tidied =
  (command: Command): Command =>
  draft => {
    const riders = ridersOf(draft.steps)
    command(draft)
    settleRegisters(draft.steps)
    if (riders.bases.size || riders.drawn.size) rideAlong(riders, draft.steps, groundFor(draft, pageMemo))
    draft.steps = boundOrder(draft.steps) ?? draft.steps
  }
