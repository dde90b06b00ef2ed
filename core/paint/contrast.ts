import { converter, differenceCiede2000 } from 'culori'
import { degrees } from '../geometry/units'
import type { LinearRgb } from './colour'

const toLab = converter('lab65')
const difference = differenceCiede2000()

export interface Lab {
  readonly l: number
  readonly a: number
  readonly b: number
}

/** CIE L*a*b* (D65) of a linear-light colour. */
export function labOf([r, g, b]: LinearRgb): Lab {
  const { l, a, b: yellow } = toLab({ mode: 'lrgb', r, g, b })
  return { l, a: a ?? 0, b: yellow ?? 0 }
}

/** Colour difference CIEDE2000 of two colours. */
export const deltaE = (p: LinearRgb, q: LinearRgb): number => labDifference(labOf(p), labOf(q))
export const labDifference = (p: Lab, q: Lab): number =>
  difference({ mode: 'lab65', ...p }, { mode: 'lab65', ...q })

/** How a print shows against what lies beneath, by its colour difference (common practice). */
const SHOWS = [
  { least: 20, words: 'shows across the room' },
  { least: 10, words: 'readable' },
  { least: 5, words: 'tone on tone' },
  { least: 0, words: 'lost' },
] as const
export const showsWords = (difference: number): string => SHOWS.find(s => difference >= s.least)!.words

/** Individual typology angle of skin, degrees: atan((L* - 50) / b*) (Chardon, Cretois and Hourseau 1991). */
export const typologyAngle = ({ l, b }: Lab): number => degrees(Math.atan2(l - 50, b))

/** Skin classes by typology angle (Chardon, Cretois and Hourseau 1991). */
export const SKIN_CLASSES = [
  { above: 55, words: 'very light' },
  { above: 41, words: 'light' },
  { above: 28, words: 'intermediate' },
  { above: 10, words: 'tan' },
  { above: -30, words: 'brown' },
  { above: -Infinity, words: 'dark' },
] as const
export const skinClass = (lab: Lab): (typeof SKIN_CLASSES)[number]['words'] =>
  SKIN_CLASSES.find(c => typologyAngle(lab) > c.above)!.words

/** One skin colour of each class, to try a look on. */
export const SIX_SKINS: readonly { words: string; colour: string }[] = [
  { words: 'very light', colour: '#f3d9c8' },
  { words: 'light', colour: '#e8c0a0' },
  { words: 'intermediate', colour: '#d3a27c' },
  { words: 'tan', colour: '#b27f58' },
  { words: 'brown', colour: '#84563a' },
  { words: 'dark', colour: '#4f3222' },
]
