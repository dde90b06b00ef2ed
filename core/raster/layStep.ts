import { dragsOf, isKind, type Drag, type Print, type Step, type World, stepPrints } from '../look'
import type { FilmState } from '../paint'
import type { Bare } from './bareSkin'
import { coverageOf, type Mask } from './coverage'
import { dragAlong, type Before } from './dragged'
import type { HeadPicture } from './head'
import { blankPaint, boxOfMask, copyRows, joined, NO_PIXELS, type Painted, type PixelBox } from './painted'
import { layPrint } from './printLook'
import { maskOf } from './printMask'

/** What a sheet drags along, with where it lies. */
interface DragMask {
  readonly drag: Drag
  readonly mask: Mask
}

/** A step's prints with what they cover, and what its sheet drags along beneath them. */
export interface StepPrints {
  readonly step: Step
  readonly prints: readonly Print[]
  readonly masks: readonly Mask[]
  /** The numbers of the prints' films; see WetFilms. */
  readonly films: readonly number[]
  readonly drags: readonly DragMask[]
}

/** Where a step's sheets lie on films that are not dry. */
export const dragMasks = (
  step: Step,
  world: World,
  { grid, chart }: Pick<HeadPicture, 'grid' | 'chart'>,
): DragMask[] =>
  isKind('sheet', step)
    ? dragsOf(step, world).map(drag => ({ drag, mask: coverageOf([chart.ring(drag.ring)], grid) }))
    : []

const ALL_DRY: ReadonlyMap<string, FilmState> = new Map()

/**
 * Lays a step on painted skin, in place: first what its sheet drags along, then its prints.
 * @param clip leaves all pixels outside it as they are
 * @param before the skin as it was in a box around all that the step can change
 */
export function layStep(
  painted: Painted,
  { step, prints, masks, films, drags }: StepPrints,
  { head, grain }: Pick<Bare, 'head' | 'grain'>,
  world: World,
  clip: PixelBox,
  before: Before,
): void {
  const { wet } = painted
  const states = world.wetUnder?.(step.id) ?? ALL_DRY
  if (wet) {
    for (const { drag, mask } of drags) dragAlong(painted, wet, drag, mask, before, states, head.grid, clip)
  }
  prints.forEach((print, i) => {
    const meeting = wet && { wet, film: films[i]!, stepId: step.id, states }
    layPrint(painted, print, head, grain, masks[i], world.memo, clip, meeting, before)
  })
}

/** Whether some of a step's prints run what lies there into its surroundings. */
export const runsTogether = (prints: readonly Print[]): boolean => prints.some(p => p.works?.kind === 'blend')

/** The painted skin in a box, kept apart. */
function keptBefore({ paint, wet }: Painted, box: PixelBox, width: number): Before {
  const n = Math.max(0, box.i1 - box.i0) * Math.max(0, box.j1 - box.j0)
  const before = { box, paint: new Float32Array(3 * n), top: new Int32Array(n) }
  copyRows(before.paint, box, paint, width, 3, box, true)
  if (wet) copyRows(before.top, box, wet.top, width, 1, box, true)
  return before
}

/**
 * Prints steps onto a head in their order.
 * @param onStep called after each step with the paint so far (a live view: copy what is to be kept)
 */
export function printSteps(
  head: HeadPicture,
  steps: readonly Step[],
  world: World,
  grain: Float32Array,
  onStep?: (step: Step, painted: Painted) => void,
): Painted {
  const painted = blankPaint(
    head,
    steps.some(s => (world.wetUnder?.(s.id).size ?? 0) > 0),
  )
  for (const step of steps) {
    const prints = stepPrints(step, world)
    const masks = prints.map(p => maskOf(p, head))
    const drags = painted.wet ? dragMasks(step, world, head) : []
    const films = prints.map(() => painted.wet?.next() ?? 0)
    const area = drags.map(d => boxOfMask(d.mask)).reduce(joined, NO_PIXELS)
    const box = masks.map(boxOfMask).reduce(joined, area)
    const kept = runsTogether(prints) ? box : area
    const before = keptBefore(painted, kept, head.grid.width)
    layStep(painted, { step, prints, masks, films, drags }, { head, grain }, world, box, before)
    onStep?.(step, painted)
  }
  return painted
}
