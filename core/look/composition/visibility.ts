import { labDifference, labOf, showsWords, type LinearRgb } from '../../paint'

/** How a step's print shows against what lies beneath it, over its own pixels. */
export interface Shows {
  readonly stepId: string
  readonly median: number
  readonly tenth: number
  readonly words: string
  /** The middle colours beneath and of the print itself. */
  readonly beneath: LinearRgb
  readonly colour: LinearRgb
}

/** As many pixels of a print are compared at most. */
export const COMPARED = 320

/**
 * Colour differences CIEDE2000 of pairs of colours: their median, and the tenth percentile below which the
 * weakest tenth lies.
 * @param judged the share of the pairs at which the print is judged: the median, unless its parts lie apart
 */
export function showsOf(
  stepId: string,
  pairs: readonly (readonly [before: LinearRgb, after: LinearRgb])[],
  judged = 0.5,
): Shows {
  const list = pairs.map(([a, b]) => labDifference(labOf(a), labOf(b))).sort((p, q) => p - q)
  const at = (share: number) => list[Math.min(list.length - 1, Math.floor(share * list.length))] ?? 0
  return {
    stepId,
    median: at(judged),
    tenth: at(0.2 * judged),
    words: showsWords(at(judged)),
    beneath: middleOf(pairs.map(p => p[0])),
    colour: middleOf(pairs.map(p => p[1])),
  }
}

/** The median of some colours, band by band. */
function middleOf(colours: readonly LinearRgb[]): LinearRgb {
  const band = (k: 0 | 1 | 2) => colours.map(c => c[k]).sort((a, b) => a - b)[colours.length >> 1] ?? 0
  return [band(0), band(1), band(2)]
}
