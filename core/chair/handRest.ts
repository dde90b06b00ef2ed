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

/** What of a step matters to a hand that rests: where it lies, and whether it is wet at first. */
export interface Resting {
  readonly boxes: readonly Box[]
  readonly wet: boolean
}

export const restingOf = (step: Step, world: World): Resting => ({
  boxes: kindOf(step).boxes(step, world),
  wet: kindOf(step).dries(step, world) > 0,
})

/** Whether a hand that works on a step rests on the wet paint of the one before. */
export const restsOnWet = (step: Resting, before: Resting): boolean =>
  // Side by side: a pair does not reach over what lies between.
  before.wet && step.boxes.some(work => before.boxes.some(box => restsOn(work, box)))

/** Whether hands rest on what is painted: an arm lies on the table and a board does too, the hand rests beside them. */
export const handsRest = ({ ground }: Pick<World, 'ground'>): boolean => ground.kind === 'face'

/** The step, of those before, on whose wet paint the hand would rest; null when there is none. */
export function handRestsOn(step: Step, before: readonly Step[], world: World): Step | null {
  // What was painted just before is wet for sure; what lies further back has had time to dry.
  const last = handsRest(world) ? before.filter(s => !world.off?.has(s.id)).at(-1) : undefined
  return last && restsOnWet(restingOf(step, world), restingOf(last, world)) ? last : null
}
