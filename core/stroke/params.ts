/** A number that shapes a stroke, with its bounds and what it is when nobody says. */
export interface Param<N extends string = string> {
  readonly name: N
  readonly words: string
  readonly unit: 'mm' | '°' | '%' | ''
  readonly least: number
  readonly most: number
  readonly step: number
  readonly usual: number
  /** What its values are called, from the least on, where it is a choice and no measure. */
  readonly choices?: readonly string[]
}
/** Numbers by their names, as a look keeps them. */
export type Params = Readonly<Record<string, number>>
/** Numbers by the names of their descriptors: a misspelt one does not compile. */
export type Values<P extends readonly Param[]> = Readonly<Record<P[number]['name'], number>>

/** Describes a number: its name in files, its words, unit, bounds, step of the control, and usual value. */
export const param = <const N extends string>(
  name: N,
  words: string,
  unit: Param['unit'],
  least: number,
  most: number,
  step: number,
  usual: number,
): Param<N> => ({ name, words, unit, least, most, step, usual })

/** Describes a choice: the first is usual. It is kept as its number, so that it can be put in other words. */
export const choice = <const N extends string>(
  name: N,
  words: string,
  choices: readonly string[],
): Param<N> => ({ ...param(name, words, '', 0, choices.length - 1, 1, 0), choices })

/** The pressure of the brush, of which its width follows. */
export const PRESS = param('press', 'pressure', '%', 5, 100, 5, 55)

/** The numbers that some descriptors name; what a look does not say is as usual. */
export function valuesOf<const P extends readonly Param[]>(params: P, given: Params): Values<P> {
  const entries = params.map(q => [q.name, given[q.name] ?? q.usual])
  // Built from the very descriptors whose names the type holds.
  return Object.fromEntries(entries) as Values<P>
}

/** Everything a shape's numbers are when nobody says. */
export const usualParams = (params: readonly Param[]): Record<string, number> =>
  Object.fromEntries(params.map(q => [q.name, q.usual]))

/** What is wrong with the numbers of a shape, as sentences; empty when nothing is. */
export function paramProblems(params: readonly Param[], value: Params): string[] {
  const known = new Set(params.map(q => q.name))
  const unit = (q: Param) => (q.unit && q.unit !== '%' && q.unit !== '°' ? ` ${q.unit}` : q.unit)
  return [
    ...Object.keys(value)
      .filter(k => !known.has(k))
      .map(k => `has no number called "${k.slice(0, 30)}"`),
    ...params
      .filter(q => {
        const said = value[q.name]
        return said !== undefined && !(said >= q.least && said <= q.most)
      })
      .map(
        q =>
          `needs "${q.name}" (${q.words}) from ${q.least} to ${q.most}${unit(q)}: ${nearest(q, value[q.name]!)} is the nearest to ${value[q.name]}`,
      ),
  ]
}

const nearest = (q: Param, said: number): number =>
  Number.isNaN(said) ? q.usual : Math.min(q.most, Math.max(q.least, said))

/** The numbers as they are allowed: each that is out of its range becomes the nearest in it. */
export const paramsWithin = (params: readonly Param[], value: Params): Params =>
  Object.fromEntries(
    Object.entries(value).map(([name, said]) => {
      const q = params.find(p => p.name === name)
      return [name, q ? nearest(q, said) : said]
    }),
  )
