import type { Box, Ring } from '../geometry'
import {
  cardLines,
  copiesOf,
  GUIDE_TOOLS,
  handlingsFrom,
  isKind,
  kindOf,
  placementsOf,
  placeWords,
  SHUT_AFTER,
  stepEffort,
  taskOf,
  withEyes,
  workOf,
  type CardLine,
  type Effort,
  type EyesAt,
  type Handling,
  type Look,
  type Pass,
  type PaintRef,
  type SheetStep,
  type Step,
  type World,
} from '../look'
import { BRUSHES, TOOLS, type ToolId, type Wetness } from '../paint'
import { summed, type HandTask } from '../order'
import { around, handsRest, restingOf, restsOnWet, type Resting } from './handRest'
import type { Gate } from './progress'

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

/** Something to do or to ask before a step, or when it is done. */
export interface Prompt {
  readonly when: 'before' | 'between' | 'after'
  readonly what:
    'eyes' | 'hand test' | 'sponge' | 'wipe' | 'copy' | 'mark' | 'lips' | 'carry' | 'off hand' | 'skin safe'
  readonly text: string
  /** Seconds to keep to; null where none are counted. */
  readonly seconds: number | null
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
  /** Outlines of the sheets as they lie, mm. */
  readonly outlines: readonly Ring[]
  /** What it covers, its twin in it, mm; null where that is nowhere. */
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

/** What is dabbed first with a step, for the hand test. */
function dabbedWith(step: Step): Screen['handTest'] {
  if (isKind('sheet', step)) return step.passes[0] ?? null
  return isKind('wash', step) && !step.brush ? { tool: step.tool, wetness: step.wetness } : null
}

const prompt = (when: Prompt['when'], what: Prompt['what'], text: string, seconds: number | null = null) => ({
  when,
  what,
  text,
  seconds,
})

const HANDLED: Readonly<Record<Handling['what'], readonly [Prompt['what'], string]>> = {
  'wipe and flip': ['wipe', 'Wipe the painted side of the stencil dry, then flip it over.'],
  'second copy': [
    'copy',
    'Take the second copy of the stencil, flipped: the painted one stays off the skin.',
  ],
}

function handlingPrompts(step: Step, handlings: readonly Handling[]): Prompt[] {
  return handlings.flatMap(h => {
    const [what, text] = HANDLED[h.what]
    return h.stepId === step.id ? [prompt(h.twin ? 'between' : 'before', what, text)] : []
  })
}

/** What a kind of step asks for by itself. */
function kindPrompts(step: Step): Prompt[] {
  if (isKind('guide', step)) {
    const off = step.wiped ? ' It is wiped off once it was used.' : ''
    return [prompt('before', 'mark', `Only a mark, with ${GUIDE_TOOLS[step.by]}: nothing is painted.${off}`)]
  }
  if (isKind('lips', step))
    return [prompt('before', 'lips', 'Ask first. A cotton bud of their own: nothing is shared on lips.')]
  if (isKind('gem', step) || isKind('glitter', step))
    return [prompt('before', 'skin safe', 'Cosmetic grade only, and away from the eyes and lips.')]
  if (isKind('sheet', step) && step.passes[0]?.carries)
    return [prompt('before', 'carry', 'Do not reload: go on with what is left on the tool.')]
  return []
}

/** A step at its place in an order. */
interface Placed {
  readonly step: Step
  readonly facts: StepFacts
}

/** What is done before, in the middle of and after a step. */
function promptsOf(
  { step, facts }: Placed,
  before: readonly Placed[],
  handlings: readonly Handling[],
  rests: boolean,
  eyes: EyesAt,
): Prompt[] {
  const test = dabbedWith(step)
  const tests = before.map(b => dabbedWith(b.step))
  const same = tests.some(t => t && test && t.tool === test.tool && t.wetness === test.wetness)
  const sponges = tests.some(t => t?.tool === test?.tool)
  const last = before.at(-1)
  const wet = rests && last && restsOnWet(facts.resting, last.facts.resting)
  const shut = step.eyes === 'shut'
  return [
    ...(shut && eyes.asked ? [prompt('before', 'eyes', 'Ask, then eyes shut.')] : []),
    ...(shut && !eyes.asked ? [prompt('before', 'eyes', 'Eyes stay shut.')] : []),
    ...(test && !sponges
      ? [prompt('before', 'sponge', `A clean ${TOOLS[test.tool].name} for this person.`)]
      : []),
    ...handlingPrompts(step, handlings),
    ...kindPrompts(step),
    ...(test && !same ? [prompt('before', 'hand test', 'Test the load on the back of your hand.')] : []),
    ...(wet
      ? [prompt('before', 'off hand', `Keep your hand off "${last.facts.label}" below: it may still be wet.`)]
      : []),
    ...(shut && eyes.open
      ? [prompt('after', 'eyes', 'Eyes stay shut while it dries; then open.', SHUT_AFTER)]
      : []),
  ]
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

/**
 * What is known of each step by itself.
 * @param narrowest the narrowest bridge of a sheet: measuring it anew would take long
 */
export function factsOf(steps: readonly Step[], world: World, narrowest: BridgeOf): StepFacts[] {
  const usual = { ...world, pace: () => 1 }
  return steps.map(step => {
    const kind = kindOf(step)
    const resting = restingOf(step, world)
    const box = around(resting.boxes)
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
      outlines: kind.outlines(step, world).map(o => o.ring),
      box: box && Number.isFinite(box.minX) ? box : null,
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
  const placed = steps.flatMap((step): Placed[] => {
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
