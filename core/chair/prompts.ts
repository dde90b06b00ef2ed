import { GUIDE_TOOLS, isKind, SHUT_AFTER, type EyesAt, type Handling, type Step } from '../look'
import { TOOLS, type ToolId, type Wetness } from '../paint'
import { restsOnWet, type Resting } from './handRest'

/** Something to do or to ask before a step, or when it is done. */
export interface Prompt {
  readonly when: 'before' | 'between' | 'after'
  readonly what:
    'eyes' | 'hand test' | 'sponge' | 'wipe' | 'copy' | 'mark' | 'lips' | 'carry' | 'off hand' | 'skin safe'
  readonly text: string
  /** Seconds to keep to; null where none are counted. */
  readonly seconds: number | null
}

/** What is dabbed first with a step, for the hand test. */
export function dabbedWith(step: Step): { tool: ToolId; wetness: Wetness } | null {
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
  if (isKind('glitter', step) && step.area === 'lowerLip')
    return [
      prompt('before', 'lips', 'Ask first. Glitter that is made for lips, with a cotton bud of their own.'),
    ]
  if (isKind('gem', step) || isKind('glitter', step))
    return [prompt('before', 'skin safe', 'Cosmetic grade only, and away from the eyes and lips.')]
  if (isKind('sheet', step) && step.passes[0]?.carries)
    return [prompt('before', 'carry', 'Do not reload: go on with what is left on the tool.')]
  return []
}

/** A step at its place in an order, with what is known of it. */
export interface Placed {
  readonly step: Step
  readonly facts: { readonly label: string; readonly resting: Resting }
}

/** What is done before, in the middle of and after a step. */
export function promptsOf(
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
