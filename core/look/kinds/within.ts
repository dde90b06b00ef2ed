import { paramProblems, paramsWithin, type Param } from '../../stroke'
import { paramsOfRun } from './dots/schema'
import { paramsOf } from './line/schema'
import { isKind, type Step } from './table'

/** The numbers that a step of brushwork has; none for other steps. */
const numbersOf = (step: Step): readonly Param[] =>
  isKind('line', step) ? paramsOf(step.shape) : isKind('dots', step) ? paramsOfRun(step.run) : []

/** A step whose numbers are as they are allowed: each that is out of its range becomes the nearest in it. */
export function withinBounds(step: Step): Step {
  const numbers = numbersOf(step)
  if (!('params' in step) || !paramProblems(numbers, step.params).length) return step
  return { ...step, params: paramsWithin(numbers, step.params) } as Step
}
