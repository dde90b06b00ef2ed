import { familyOf, type Look, type Step } from '../../core/look'
import { cake, ref } from './kit'

/** A further try of a look: its steps changed, its place in the family told. */
export const attempt = (of: Look, letter: string, why: string, change: (steps: Step[]) => Step[]): Look => ({
  ...structuredClone(of),
  id: `${of.id}-${letter.toLowerCase()}`,
  family: { id: familyOf(of).id, letter, why, kept: false },
  steps: change(structuredClone(of.steps)),
})

/** A step with other paints of the kit wherever it names one. */
export function recoloured(step: Step, by: Readonly<Record<string, string>>): Step {
  const text = JSON.stringify(step, (_, value: unknown) => {
    if (typeof value !== 'object' || value === null || !('id' in value) || !('colour' in value)) return value
    const next = by[String(value.id)]
    if (!next) return value
    return 'strips' in value ? cake(next) : ref(next)
  })
  return JSON.parse(text) as Step
}

/** Steps without some, by their names. */
export const withoutLabels = (steps: Step[], labels: readonly string[]): Step[] =>
  steps.filter(s => !labels.includes(s.label))
