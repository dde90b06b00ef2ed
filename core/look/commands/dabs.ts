import type { Stencil } from '../../stencil'
import type { Step } from '../kinds'
import { onKind, onMark, onStep, type Command } from './command'

/** Least and most dabs of a pass, or layers of a base. */
const [LEAST, MOST] = [1, 12]

/** What of a step is dabbed: the last pass of a sheet, or a base. */
const dabbed = (step: Step): { dabs: number } | null =>
  'passes' in step ? step.passes.at(-1)! : 'dabs' in step ? step : null

/** One more dab, or one less. */
export const dabMore = (id: string | null, by: number): Command =>
  onStep(id, step => {
    const of = dabbed(step)
    if (of) of.dabs = Math.min(MOST, Math.max(LEAST, of.dabs + by))
  })

/** Lets a pass dab just these openings. */
export const dabOnly = (id: string, pass: number, numbers: readonly number[], sheet: Stencil): Command =>
  onKind('sheet', id, step => {
    const all = numbers.length === sheet.openings.length
    step.passes[pass]!.openings = all ? { use: 'all' } : { use: 'chosen', numbers: [...numbers] }
  })

/** Lets a line or dots go around just these openings of their host; none means all that it prints. */
export const goAroundOnly = (id: string, numbers: readonly number[]): Command =>
  onMark(id, step => {
    if ('of' in step && step.of?.use === 'step') step.of.openings = numbers.length ? [...numbers] : null
  })
