import { z } from 'zod'
import { bounded } from './parts'

/** A question on which painters disagree: its schools in words, and the one that counts while nobody chose. */
interface Question<C extends Readonly<Record<string, string>>> {
  readonly words: string
  readonly schools: C
  readonly usual: keyof C & string
}

const question = <const C extends Readonly<Record<string, string>>>(
  words: string,
  schools: C,
  usual: keyof C & string,
): Question<C> => ({ words, schools, usual })

/** Where painters disagree, and what can be chosen (common practice). */
export const WAY_QUESTIONS = {
  tool: question(
    'Tool through a stencil',
    { makeup: 'makeup sponge', dauber: 'finger dauber', openCell: 'ordinary sponge, used very dry' },
    'makeup',
  ),
  load: question(
    'How paint is built up',
    { thin: 'several thin dabs', thick: 'one good load, thick and not wet' },
    'thin',
  ),
  symmetry: question(
    'The other side',
    { exact: 'exact mirror', byEye: 'roughly, by eye', lopsided: 'lopsided on purpose' },
    'exact',
  ),
  mirror: question(
    'Where the mirror image goes',
    { features: "by the other side's features", midline: 'across the midline, with a ruler' },
    'features',
  ),
  outline: question(
    'Outlines',
    { weak: 'only where contrast is weak', all: 'around everything', none: 'none' },
    'weak',
  ),
  lids: question(
    'Lids and lashes of children',
    { clear: 'left clear under an age', paint: 'painted' },
    'clear',
  ),
  glitter: question(
    'When glitter goes on',
    { lifting: 'before the stencil is lifted', wet: 'onto the wet base', last: 'as gel at the end' },
    'lifting',
  ),
  clean: question('Cleaning an edge', { wetBrush: 'wet brush', wipe: 'damp wipe' }, 'wetBrush'),
} as const
export type WayKey = keyof typeof WAY_QUESTIONS
export const WAY_KEYS = Object.keys(WAY_QUESTIONS) as WayKey[]
type School<K extends WayKey> = keyof (typeof WAY_QUESTIONS)[K]['schools'] & string

/** How a painter works: one school for each question, and the age under which lids stay clear, years. */
export type Ways = { readonly [K in WayKey]: School<K> } & { readonly lidsFrom: number }

/** The ways that count while nobody chose. */
export const USUAL_WAYS: Ways = {
  tool: WAY_QUESTIONS.tool.usual,
  load: WAY_QUESTIONS.load.usual,
  symmetry: WAY_QUESTIONS.symmetry.usual,
  mirror: WAY_QUESTIONS.mirror.usual,
  outline: WAY_QUESTIONS.outline.usual,
  lids: WAY_QUESTIONS.lids.usual,
  glitter: WAY_QUESTIONS.glitter.usual,
  clean: WAY_QUESTIONS.clean.usual,
  lidsFrom: 6,
} as Ways

const schools = <K extends WayKey>(key: K) => {
  const names = Object.keys(WAY_QUESTIONS[key].schools) as [School<K>, ...School<K>[]]
  return z.enum(names, { error: `must be ${names.join(' or ')}` })
}

/** Ways that were chosen; what is left out is as usual. */
export const waysSchema = z.strictObject({
  tool: schools('tool').optional(),
  load: schools('load').optional(),
  symmetry: schools('symmetry').optional(),
  mirror: schools('mirror').optional(),
  outline: schools('outline').optional(),
  lids: schools('lids').optional(),
  glitter: schools('glitter').optional(),
  clean: schools('clean').optional(),
  lidsFrom: bounded(3, 16).optional(),
})
export type ChosenWays = z.infer<typeof waysSchema>

/** The ways that count for a look: its own before the painter's, the usual ones last. */
export const waysFor = (own: ChosenWays | undefined, house: ChosenWays): Ways =>
  ({ ...USUAL_WAYS, ...house, ...own }) as Ways

/** The school that counts, and what the others do instead, as a sentence. */
export function otherSchools<K extends WayKey>(key: K, chosen: School<K>): string {
  const all: Readonly<Record<string, string>> = WAY_QUESTIONS[key].schools
  const others = Object.entries(all).flatMap(([name, words]) => (name === chosen ? [] : [words]))
  return `Other painters: ${others.join('; ')}.`
}
