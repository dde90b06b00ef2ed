import { EMPTY_BOX, type Box } from '../geometry'
import { kindOf, type Step, type World } from '../look'

/** A step that lies so far below wet paint takes the hand over it, mm (common practice). */
const HAND_BELOW = 15
/** The heel of the hand rests so far below what is painted, and as far to its sides, mm (common practice). */
const HAND_REACH = 90
const HAND_HALF = 45

/** Whether a hand that works on a step would rest on what another has painted. */
function restsOn(work: Box, painted: Box): boolean {
  const middle = (work.minX + work.maxX) / 2
  return (
    painted.minY > work.maxY + HAND_BELOW &&
    painted.minY < work.maxY + HAND_REACH &&
    painted.maxX > middle - HAND_HALF &&
    painted.minX < middle + HAND_HALF
  )
}

/** A box around boxes; null around none. */
export const around = (boxes: readonly Box[]): Box | null =>
  boxes.length
    ? boxes.reduce(
        (b, c) => ({
          minX: Math.min(b.minX, c.minX),
          minY: Math.min(b.minY, c.minY),
          maxX: Math.max(b.maxX, c.maxX),
          maxY: Math.max(b.maxY, c.maxY),
        }),
        { ...EMPTY_BOX },
      )
    : null

/** The step, of those before, on whose wet paint the hand would rest; null when there is none. */
export function handRestsOn(step: Step, before: readonly Step[], world: World): Step | null {
  // An arm lies on the table and a board does too: the hand rests beside them.
  if (world.ground.kind !== 'face') return null
  // What was painted just before is wet for sure; what lies further back has had time to dry.
  const last = before.filter(s => !world.off?.has(s.id)).at(-1)
  if (!last || kindOf(last).dries(last, world) <= 0) return null
  // Side by side: a pair does not reach over what lies between.
  const painted = kindOf(last).boxes(last, world)
  const rests = kindOf(step)
    .boxes(step, world)
    .some(work => painted.some(box => restsOn(work, box)))
  return rests ? last : null
}
