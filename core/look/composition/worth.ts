import { labOf, linearOf } from '../../paint'
import { isKind, paintsOf, type Step } from '../kinds'

/** What a step is said to be worth before the painter says anything; see stepBase. */
const UNSAID = 5
/** As light as this, and hardly coloured, is a highlight: CIELAB lightness and chroma (common practice). */
const LIGHT = 88
const PALE = 14

/** Whether a step is a stroke or dots in white or nearly so. */
export function isHighlight(step: Step): boolean {
  if (!isKind('line', step) && !isKind('dots', step)) return false
  return paintsOf(step).some(({ colour }) => {
    const { l, a, b } = labOf(linearOf(colour))
    return l >= LIGHT && Math.hypot(a, b) <= PALE
  })
}

/** Strokes of which a look can do without: lashes, stitches and the like, drawn one beside the other. */
const TRIMMINGS: readonly string[] = ['lashes', 'stitches', 'teeth', 'drops', 'whiskers', 'fur']

/** What steps of a kind are usually worth to a look, 0 to 10 (common practice). */
function byKind(step: Step): number {
  if (isKind('line', step)) {
    if (TRIMMINGS.includes(step.shape)) return 4
    if (step.of !== null) return isHighlight(step) ? 6 : 4
    return isHighlight(step) ? 6 : 8
  }
  if (isKind('dots', step)) return isHighlight(step) ? 4 : 3
  if (isKind('lips', step)) return 2
  if (isKind('gem', step) || isKind('glitter', step)) return 4
  return isKind('sheet', step) ? 8 : 10
}

/** What a step is worth: as the painter said, else as its kind usually is. */
export const usualWorth = (step: Step): number => (step.worth === UNSAID ? byKind(step) : step.worth)
