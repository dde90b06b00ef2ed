import { colourWords, deltaE, hexOf, mudOf, wetMix, type LinearRgb, type Mud } from '../paint'

/** Shares of the second of two strips at which their blend is shown. */
const WAY = [0, 0.2, 0.4, 0.5, 0.6, 0.8, 1] as const
/** Neighbours that differ by less can hardly be told apart in a stroke (CIEDE2000; common practice). */
const ALIKE = 8

/** Two strips of a cake that touch, and what becomes of their colours where they run into each other. */
export interface Join {
  /** Colours on the way from the first to the second, hex. */
  readonly way: readonly string[]
  readonly mud: Mud
  /** Colour difference of the two, CIEDE2000. */
  readonly difference: number
  readonly verdict: 'mud' | 'alike' | 'blends'
  /** What becomes of them, in words: "olive green", "turns to mud". */
  readonly words: string
}

const byVerdict: Readonly<Record<Join['verdict'], (between: string) => string>> = {
  mud: () => 'turns to mud',
  alike: () => 'hardly to be told apart',
  blends: between => between,
}

/** How two strips blend where they meet; see mudOf for what is mud. */
export function joinOf(a: LinearRgb, b: LinearRgb): Join {
  const mud = mudOf(a, b)
  const difference = deltaE(a, b)
  const verdict = mud.muddy ? 'mud' : difference < ALIKE ? 'alike' : 'blends'
  return {
    way: WAY.map(share => hexOf(wetMix(a, b, share))),
    mud,
    difference,
    verdict,
    words: byVerdict[verdict](colourWords(hexOf(wetMix(a, b, 0.5)))),
  }
}

/** The joins of a cake, one fewer than it has strips. */
export const joinsOf = (strips: readonly LinearRgb[]): Join[] =>
  strips.slice(1).map((next, i) => joinOf(strips[i]!, next))
