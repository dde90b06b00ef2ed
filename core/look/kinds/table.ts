import type { z } from 'zod'
import { effortFrom, task } from '../../order'
import { TOOLS } from '../../paint'
import type { PaintRef } from '../document'
import { dotsKind } from './dots'
import { gemKind } from './gem'
import { glitterKind } from './glitter'
import type { CardLine, Effort, StepKind } from './kind'
import { guideKind } from './guide'
import { lineKind } from './line'
import { lipsKind } from './lips'
import { reworkKind } from './rework'
import { sheetKind } from './sheet'
import { pullKind } from './pull'
import type { Print } from './print'
import { washKind } from './wash'
import type { World } from './world'

/** Every kind of step: adding one is a folder and a line here. */
export const KINDS = {
  wash: washKind,
  sheet: sheetKind,
  line: lineKind,
  dots: dotsKind,
  gem: gemKind,
  glitter: glitterKind,
  lips: lipsKind,
  pull: pullKind,
  rework: reworkKind,
  guide: guideKind,
}

export type KindName = keyof typeof KINDS
/** The step of a kind, by the kind's name. */
export type StepOf<K extends KindName> = z.infer<(typeof KINDS)[K]['schema']>
export type Step = { [K in KindName]: StepOf<K> }[KindName]

/** The kind of a step, typed for that step. */
export function kindOf<S extends Step>(step: S): StepKind<S> {
  // The table pairs each name with the kind of just those steps, which TypeScript cannot follow through an
  // index.
  return KINDS[step.kind] as unknown as StepKind<S>
}

/** After a lid was worked the eyes stay shut so long, s (common practice). */
export const SHUT_AFTER = 10
/** Asking for shut eyes takes so long, s (common practice). */
const ASKING = 2

/** The kind of task that a step is for the hands: times that were logged for it count for all such steps. */
export const taskOf = (step: Step): string =>
  step.kind === 'sheet'
    ? `sheet, ${kindOf(step).tool(step)}`
    : step.kind === 'wash'
      ? `wash, ${step.brush ? 'brush' : 'sponge'}`
      : step.kind

/** A kind of task in words. */
export function taskWords(task: string): string {
  const [kind, tool] = task.split(', ')
  const words = KINDS[kind as KindName]?.words ?? kind
  const by = tool && ((TOOLS as Record<string, { name: string }>)[tool]?.name ?? tool)
  return by ? `${words}, ${by}` : words
}

/** What is asked of the eyes at the beginning of a step, and at its end. */
export interface EyesAt {
  /** Whether they are asked to be shut: they are not where the step before had them shut already. */
  readonly asked: boolean
  /** Whether they open after it: they do not where the next step needs them shut. */
  readonly open: boolean
}
const ALONE: EyesAt = { asked: true, open: true }

/**
 * What a step takes, at the painter's own pace and with the wait for shut eyes: seconds of the hands and loads.
 * @param eyes what the steps before and after it leave to be asked; a step by itself asks for both
 */
export function stepEffort(step: Step, world: World, eyes = ALONE): Effort {
  const { loads, tasks } = kindOf(step).effort(step, world)
  const pace = world.pace?.(taskOf(step)) ?? 1
  const own = tasks.map(t => task(t.what, pace * t.seconds))
  return withEyes(effortFrom(own, loads), step, eyes)
}

/** What a step takes together with what is asked of the eyes. */
export function withEyes({ loads, tasks }: Effort, step: Step, eyes: EyesAt): Effort {
  const shut = step.eyes === 'shut'
  return effortFrom(
    [
      task('ask for shut eyes', shut && eyes.asked ? ASKING : 0),
      ...tasks,
      task('shut eyes', shut && eyes.open ? SHUT_AFTER : 0),
    ],
    loads,
  )
}

/** What each step takes that is painted, by its id: of several in a row with shut eyes the eyes are asked once. */
export function effortsOf(steps: readonly Step[], world: World): ReadonlyMap<string, Effort> {
  const painted = steps.filter(s => !world.off?.has(s.id))
  return new Map(
    painted.map((step, i) => [
      step.id,
      stepEffort(step, world, {
        asked: painted[i - 1]?.eyes !== 'shut',
        open: painted[i + 1]?.eyes !== 'shut',
      }),
    ]),
  )
}

/** Seconds until what a step lays is dry, in the room as the world knows it. */
export const drySeconds = (step: Step, world: World): number =>
  (world.driesBy ?? 1) * kindOf(step).dries(step, world)

/** What the step sheet says of a step: when the eyes are shut, before anything else. */
export const cardLines = (step: Step, world: World): CardLine[] => [
  ...(step.eyes === 'shut' ? [EYES_SHUT] : []),
  ...kindOf(step).lines(step, world),
]
const EYES_SHUT: CardLine = {
  label: 'eyes',
  text: 'ask, eyes shut, and shut for ten seconds more; then open',
}

/** The films of a step; none of one that is not painted this time. */
export const stepPrints = (step: Step, world: World): Print[] =>
  world.off?.has(step.id) ? [] : kindOf(step).prints(step, world)

/** Whether a step is of a kind. */
export const isKind = <K extends KindName>(kind: K, step: Step | null | undefined): step is StepOf<K> =>
  step?.kind === kind

/** Whether a step lays no paint: it works over what lies there. */
export const laysNothing = (step: Step): boolean => kindOf(step).cautions.laysNothing ?? false

/** The steps of a kind among others. */
export const ofKind = <K extends KindName>(kind: K, steps: readonly Step[]): StepOf<K>[] =>
  steps.filter(s => isKind(kind, s))

/** Whether a step is a base: what others are drawn on, and no element by itself. */
export const isBase = (step: Step): boolean => kindOf(step).cautions.isBase ?? false

/** Whether a step is something loose, which others neither go around nor lie wet on. */
export const isSparkle = (step: Step): boolean => kindOf(step).cautions.isSparkle ?? false

/** Whether the handles of a step draw a closed outline. */
export const isOutline = (step: Step): boolean => kindOf(step).handling(step).outline !== 'open'

/** As many handles as a step can have. */
export const mostHandles = (step: Step): number => kindOf(step).handling(step).room[1]

/** Steps that lie on the skin by handles of their own. */
export type MarkStep = Extract<Step, { points: unknown }>
export const isMark = (step: Step): step is MarkStep => 'points' in step

/** The paints that a step uses, split cakes as one. */
export const paintsOf = (step: Step): PaintRef[] =>
  kindOf(step)
    .paintPlaces(step)
    .map(({ ref: { id, name, colour } }) => ({ id, name, colour }))
