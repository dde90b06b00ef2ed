import { boxOf, type Box, type Ring } from '../geometry'
import {
  cardLines,
  copiesOf,
  handlingsFrom,
  isKind,
  kindOf,
  NO_TWIN,
  placementsOf,
  placeOf,
  placeWords,
  stepEffort,
  taskOf,
  withEyes,
  workOf,
  type CardLine,
  type Effort,
  type EyesAt,
  type Look,
  type Pass,
  type PaintRef,
  type SheetStep,
  type Step,
  type World,
} from '../look'
import { BRUSHES, TOOLS, type ToolId, type Wetness } from '../paint'
import { summed, type HandTask } from '../order'
import { around, handsRest, restingOf, type Resting } from './handRest'
import type { Gate } from './progress'
import { dabbedWith, promptsOf, type Placed, type Prompt } from './prompts'

/** A tool with what is on it. */
export interface ToolInHand {
  readonly paints: readonly PaintRef[]
  /** What it is called. */
  readonly tool: string
  readonly wetness: Wetness | null
  /** Dabs over each place, or layers of a base; null for what is drawn. */
  readonly dabs: number | null
  readonly words: string
}

/** A sheet as it is held: its top is where `tilt` says, and the side that is seen is not the one on the skin. */
export interface SheetHeld {
  /** Id of the sheet. */
  readonly stencil: string
  readonly side: 'A' | 'B'
  readonly tilt: number
  readonly where: string
  readonly turned: string
}

/**
 * What is known of a step by itself, wherever it comes in the order: all that takes long to work out, as plain data.
 */
export interface StepFacts {
  readonly id: string
  readonly label: string
  readonly words: string
  readonly task: string
  readonly optional: boolean
  /** Seconds of the hands at the painter's own pace and by the starting values alone, without those for the eyes. */
  readonly effort: Effort
  readonly usual: Effort
  readonly lines: readonly CardLine[]
  readonly tools: readonly ToolInHand[]
  /** The sheet for the step, and for its twin. */
  readonly sheets: readonly SheetHeld[]
  /** Where it lies, in a few words: "on both cheeks"; "" where it lies nowhere. */
  readonly place: string
  /** Outlines of the sheets as they lie, mm. */
  readonly outlines: readonly Ring[]
  /** What tells the shape of a step without a sheet, its twin in it, mm. */
  readonly marks: readonly Ring[]
  /** What is to be seen of it, mm: its own side, with its twin where both are near; null where that is nowhere. */
  readonly box: Box | null
  readonly resting: Resting
  /** How many copies there are of its sheet. */
  readonly copies: number
  /** For the hand test: what is dabbed first. */
  readonly handTest: { readonly tool: ToolId; readonly wetness: Wetness } | null
  /** What could bleed: the narrowest bridge there (mm), and what it is dabbed with. */
  readonly bridge: { readonly tool: ToolId; readonly wetness: Wetness; readonly width: number } | null
}

/** What the chair shows of one step, at its place in the order. */
export interface Screen extends Omit<StepFacts, 'effort' | 'usual' | 'resting' | 'copies'> {
  /** Seconds at the painter's own pace, and by the starting values alone. */
  readonly planned: number
  readonly usual: number
  /** What the hands do for it, with the seconds of each kind of task. */
  readonly tasks: readonly HandTask[]
  readonly prompts: readonly Prompt[]
}

const refsOfPass = (step: SheetStep, index: number): PaintRef[] =>
  kindOf(step)
    .paintPlaces(step)
    .filter(p => p.path[1] === index)
    .map(p => p.ref)

const passTool = (step: SheetStep, pass: Pass, index: number): ToolInHand => ({
  paints: refsOfPass(step, index),
  tool: TOOLS[pass.tool].name,
  wetness: pass.wetness,
  dabs: pass.dabs,
  words: pass.carries ? 'without reloading' : pass.charge < 1 ? 'what is left on it' : '',
})

const nameOfTool = (tool: string): string =>
  (TOOLS as Record<string, { name: string }>)[tool]?.name ??
  (BRUSHES as Record<string, { name: string }>)[tool]?.name ??
  tool

function toolsOf(step: Step): ToolInHand[] {
  if (isKind('sheet', step)) return step.passes.map((pass, i) => passTool(step, pass, i))
  const tool = kindOf(step).tool(step)
  const dabbed = isKind('wash', step) && !step.brush
  const paints = kindOf(step)
    .paintPlaces(step)
    .map(p => p.ref)
  return paints.length || tool
    ? [
        {
          paints,
          tool: tool ? nameOfTool(tool) : '',
          wetness: dabbed ? step.wetness : null,
          dabs: dabbed ? step.dabs : null,
          words: '',
        },
      ]
    : []
}

function sheetsOf(step: Step, world: World): SheetHeld[] {
  if (!isKind('sheet', step) || !world.stencil(step.stencil)) return []
  return placementsOf(step, world).map(placement => ({
    stencil: step.stencil,
    side: placement.side,
    tilt: placement.tilt,
    ...placeWords(step, placement, world),
  }))
}

/** The narrowest bridge of a sheet, mm, where it is known; null where it has none. */
export type BridgeOf = (stencilId: string) => number | null

/** The narrowest bridge of a step's sheet that could bleed; null where there is none. */
function bridgeOf(step: Step, narrowest: BridgeOf): Screen['bridge'] {
  const test = isKind('sheet', step) ? dabbedWith(step) : null
  const width = isKind('sheet', step) ? narrowest(step.stencil) : null
  return test && width !== null && width > 0.05
    ? { tool: test.tool, wetness: test.wetness, width: Math.min(50, width) }
    : null
}

/** Both sides of a step are seen at once when they are as near as this, mm. */
const TOGETHER = 90

/** What is to be seen of a step: two sides far apart would show the whole face at every step. */
function seenBox(step: Step, world: World): Box | null {
  const covered = (of: Step) =>
    around([
      ...kindOf(of).boxes(of, world),
      ...kindOf(of)
        .outlines(of, world)
        .map(o => boxOf(o.ring)),
    ])
  const all = covered(step)
  if (!all || !Number.isFinite(all.minX)) return null
  const near = Math.max(all.maxX - all.minX, all.maxY - all.minY) <= TOGETHER
  return near || !('twin' in step) ? all : covered({ ...step, twin: NO_TWIN } as Step)
}

/**
 * What is known of each step by itself.
 * @param narrowest the narrowest bridge of a sheet: measuring it anew would take long
 */
export function factsOf(steps: readonly Step[], world: World, narrowest: BridgeOf): StepFacts[] {
  const usual = { ...world, pace: () => 1 }
  // Where it lies is told and marked coarsely: the eye needs no more.
  const quick: World = { ...world, flat: true, quick: true }
  return steps.map(step => {
    const kind = kindOf(step)
    const resting = restingOf(step, world)
    const test = dabbedWith(step)
    return {
      id: step.id,
      label: step.label || kind.words,
      words: kind.words,
      task: taskOf(step),
      optional: step.optional,
      effort: stepEffort(step, world, NO_EYES),
      usual: stepEffort(step, usual, NO_EYES),
      lines: cardLines(step, world),
      tools: toolsOf(step),
      sheets: sheetsOf(step, world),
      place: placeOf(step, quick),
      outlines: kind.outlines(step, world).map(o => o.ring),
      marks: isKind('sheet', step) ? [] : kind.silhouette(step, quick),
      box: seenBox(step, world),
      resting,
      copies: isKind('sheet', step) ? copiesOf(step.stencil, world) : 1,
      handTest: test && { tool: test.tool, wetness: test.wetness },
      bridge: bridgeOf(step, narrowest),
    }
  })
}
const NO_EYES: EyesAt = { asked: false, open: false }

/**
 * What the chair shows of each step at its place in an order: quick, from what is known of each by itself.
 * @param steps those that are painted, in their order
 * @param rests whether the hand rests on what is painted: on a face it does, an arm or a board lies on the table
 */
export function screensFrom(
  steps: readonly Step[],
  known: ReadonlyMap<string, StepFacts>,
  rests: boolean,
): Screen[] {
  const placed = steps.flatMap((step): (Placed & { readonly facts: StepFacts })[] => {
    const facts = known.get(step.id)
    return facts ? [{ step, facts }] : []
  })
  const handlings = handlingsFrom(
    placed.flatMap(({ step, facts: { copies, sheets } }) =>
      isKind('sheet', step)
        ? [{ stepId: step.id, stencil: step.stencil, copies, sides: sheets.map(s => s.side) }]
        : [],
    ),
  )
  return placed.map((at, i) => {
    const eyes = {
      asked: placed[i - 1]?.step.eyes !== 'shut',
      open: placed[i + 1]?.step.eyes !== 'shut',
    }
    const { effort, usual, resting: _resting, copies: _copies, ...facts } = at.facts
    const own = withEyes(effort, at.step, eyes)
    return {
      ...facts,
      planned: own.seconds,
      usual: withEyes(usual, at.step, eyes).seconds,
      tasks: summed(own.tasks),
      prompts: promptsOf(at, placed.slice(0, i), handlings, rests, eyes),
    }
  })
}

/** Both at once, for a look that is at hand; see factsOf and screensFrom. */
export const screensOf = (steps: readonly Step[], world: World, narrowest: BridgeOf): Screen[] =>
  screensFrom(steps, new Map(factsOf(steps, world, narrowest).map(f => [f.id, f])), handsRest(world))

/** What must be dry before what, and what is only wet so long, for the steps that are painted. */
export function gatesOf(look: Pick<Look, 'steps'>, world: World): Gate[] {
  const { lags, steps, leads } = workOf(look, world)
  return lags.map(({ from, to, dry = 0, most, why }) => ({
    from: steps[from]!.id,
    to: steps[to]!.id,
    least: dry,
    most,
    lead: dry > 0 ? leads[to]! : 0,
    bound: why !== 'stays',
  }))
}
