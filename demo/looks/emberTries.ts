import { familyOf, type Look, type Step } from '../../core/look'
import { emberWing } from './ember'
import { cake, ref } from './kit'

/** A further try of Ember Wing: its steps changed, its place in the family told. */
const attempt = (letter: string, why: string, change: (steps: Step[]) => Step[]): Look => ({
  ...structuredClone(emberWing),
  id: `${emberWing.id}-${letter.toLowerCase()}`,
  family: { id: familyOf(emberWing).id, letter, why, kept: false },
  steps: change(structuredClone(emberWing.steps)),
})

/** Paints of the kit that take the place of others, by their ids. */
const COLD: Readonly<Record<string, string>> = {
  ivory: 'gull',
  beacon: 'sky',
  ember: 'harbour',
  rust: 'midnight',
  rosehip: 'dusk',
  lantern: 'mackerel',
  bonfire: 'harbour-lights',
}

/** A step with other paints of the kit wherever it names one. */
function recoloured(step: Step, by: Readonly<Record<string, string>>): Step {
  const text = JSON.stringify(step, (_, value: unknown) => {
    if (typeof value !== 'object' || value === null || !('id' in value) || !('colour' in value)) return value
    const next = by[String(value.id)]
    if (!next) return value
    return 'strips' in value ? cake(next) : ref(next)
  })
  return JSON.parse(text) as Step
}

const withoutLabels = (steps: Step[], labels: readonly string[]): Step[] =>
  steps.filter(s => !labels.includes(s.label))

/** Three more tries of Ember Wing: in cold colours, with feathers by stencil, and a quick one. */
export const emberTries: Look[] = [
  attempt('B', 'cold fire', steps => steps.map(s => recoloured(s, COLD))),
  attempt('C', 'feathers by stencil, no swirl', steps =>
    steps.flatMap((step): Step[] => {
      if (step.kind !== 'sheet' || step.label !== 'Swirl of heat') return [step]
      const [first] = step.passes
      const passes = [{ ...first!, load: { kind: 'one' as const, paint: ref('lantern') } }]
      return [
        { ...step, id: 'ember-feather', label: 'Feather of gold', stencil: 'feather', tilt: 150, passes },
      ]
    }),
  ),
  attempt('D', 'quick, in front of a queue', steps =>
    withoutLabels(steps, [
      'Long feathers',
      'Small feathers',
      'Sparks',
      'Swirl of heat',
      'Light on the edge',
      'Outer flame',
      'Flame beside it',
    ]),
  ),
]
