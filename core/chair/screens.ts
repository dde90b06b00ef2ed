import type { Box, Ring } from '../geometry'
import {
  cardLines,
  GUIDE_TOOLS,
  handlingsOf,
  isKind,
  kindOf,
  placementsOf,
  placeWords,
  SHUT_AFTER,
  stepEffort,
  stepLead,
  taskOf,
  workOf,
  type CardLine,
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
import type { PreparedSheet } from '../stencil'
import { around, handRestsOn } from './handRest'
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
  readonly sheet: PreparedSheet
  readonly side: 'A' | 'B'
  readonly tilt: number
  readonly where: string
  readonly turned: string
}

/** What the chair shows of one step. */
export interface Screen {
  readonly id: string
  readonly label: string
  readonly words: string
  readonly task: string
  readonly optional: boolean
  /** Seconds at the painter's own pace, and by the starting values alone. */
  readonly planned: number
  readonly usual: number
  /** What the hands do for it, with the seconds of each kind of task. */
  readonly tasks: readonly HandTask[]
  readonly lines: readonly CardLine[]
  readonly tools: readonly ToolInHand[]
  /** The sheet for the step, and for its twin. */
  readonly sheets: readonly SheetHeld[]
  readonly prompts: readonly Prompt[]
  /** Outlines of the sheets as they lie, mm. */
  readonly outlines: readonly Ring[]
  /** What it covers, its twin in it, mm; null where that is nowhere. */
  readonly box: Box | null
  /** For the hand test: what is dabbed first. */
  readonly handTest: { readonly tool: ToolId; readonly wetness: Wetness } | null
  /** What could bleed: the narrowest bridge there (mm), and what it is dabbed with. */
  readonly bridge: { readonly tool: ToolId; readonly wetness: Wetness; readonly width: number } | null
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
  const sheet = isKind('sheet', step) && world.stencil(step.stencil)
  if (!sheet || !isKind('sheet', step)) return []
  return placementsOf(step, world).map(placement => ({
    sheet,
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

/** What is done before, in the middle of and after a step. */
function promptsOf(
  step: Step,
  before: readonly Step[],
  handlings: readonly Handling[],
  world: World,
): Prompt[] {
  const test = dabbedWith(step)
  const same = before
    .map(dabbedWith)
    .some(t => t && test && t.tool === test.tool && t.wetness === test.wetness)
  const sponges = before.some(s => dabbedWith(s)?.tool === test?.tool)
  const wet = handRestsOn(step, before, world)
  return [
    ...(step.eyes === 'shut' ? [prompt('before', 'eyes', 'Ask, then eyes shut.')] : []),
    ...(test && !sponges
      ? [prompt('before', 'sponge', `A clean ${TOOLS[test.tool].name} for this person.`)]
      : []),
    ...handlingPrompts(step, handlings),
    ...kindPrompts(step),
    ...(test && !same ? [prompt('before', 'hand test', 'Test the load on the back of your hand.')] : []),
    ...(wet
      ? [prompt('before', 'off hand', `Keep your hand off "${wet.label}" below: it may still be wet.`)]
      : []),
    ...(step.eyes === 'shut'
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
 * What the chair shows of each step, in the order in which it is painted.
 * @param steps those that are painted, in their order
 * @param narrowest the narrowest bridge of a sheet: measuring it anew would take long
 */
export function screensOf(steps: readonly Step[], world: World, narrowest: BridgeOf): Screen[] {
  const usual = { ...world, pace: () => 1 }
  const handlings = handlingsOf(steps, world)
  return steps.map((step, i) => {
    const kind = kindOf(step)
    const boxes = kind.boxes(step, world)
    const box = around(boxes)
    const test = dabbedWith(step)
    return {
      id: step.id,
      label: step.label || kind.words,
      words: kind.words,
      task: taskOf(step),
      optional: step.optional,
      planned: stepEffort(step, world).seconds,
      usual: stepEffort(step, usual).seconds,
      tasks: summed(stepEffort(step, world).tasks),
      lines: cardLines(step, world),
      tools: toolsOf(step),
      sheets: sheetsOf(step, world),
      prompts: promptsOf(step, steps.slice(0, i), handlings, world),
      outlines: kind.outlines(step, world).map(o => o.ring),
      box: box && Number.isFinite(box.minX) ? box : null,
      handTest: test && { tool: test.tool, wetness: test.wetness },
      bridge: bridgeOf(step, narrowest),
    }
  })
}

/** What must be dry before what, and what is only wet so long, for the steps that are painted. */
export function gatesOf(look: Pick<Look, 'steps'>, world: World): Gate[] {
  const { lags, steps } = workOf(look, world)
  return lags.map(({ from, to, dry = 0, most, why }) => ({
    from: steps[from]!.id,
    to: steps[to]!.id,
    least: dry,
    most,
    lead: dry > 0 ? stepLead(steps[to]!, world) : 0,
    bound: why !== 'stays',
  }))
}
