import type { Look, Step } from '../../core/look'
import { attempt, recoloured, withoutLabels } from './attempts'
import { emberWing } from './ember'
import { ref } from './kit'

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

/** Three more tries of Ember Wing: in cold colours, with feathers by stencil, and a quick one. */
export const emberTries: Look[] = [
  attempt(emberWing, 'B', 'cold fire', steps => steps.map(s => recoloured(s, COLD))),
  attempt(emberWing, 'C', 'feathers by stencil, no swirl', steps =>
    steps.flatMap((step): Step[] => {
      if (step.kind !== 'sheet' || step.label !== 'Swirl of heat') return [step]
      const [first] = step.passes
      const passes = [{ ...first!, load: { kind: 'one' as const, paint: ref('lantern') } }]
      return [
        { ...step, id: 'ember-feather', label: 'Feather of gold', stencil: 'feather', tilt: 150, passes },
      ]
    }),
  ),
  attempt(emberWing, 'D', 'quick, in front of a queue', steps =>
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
