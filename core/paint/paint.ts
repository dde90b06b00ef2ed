import { linearOf } from './colour'
import { contrastRatio, opticsFrom, opticsOf, USUAL_HIDING, type Optics } from './film'

export const FINISHES = ['matte', 'pearl', 'metallic', 'neon'] as const
export type Finish = (typeof FINISHES)[number]

/** One strip of a split cake: a colour and its width, mm. */
export interface Strip {
  readonly colour: string
  readonly width: number
  readonly name: string
  /** The paint of the kit that it was cut from; strips of bought cakes have none. */
  readonly paint?: string | undefined
}

/** How long a strip cake is and how deep its strips are, mm. */
export interface CakeSize {
  readonly length: number
  readonly depth: number
}

/** A cake of paint as its owner knows it. Colours are hex. */
export interface Paint {
  readonly id: string
  readonly name: string
  readonly finish: Finish
  /** How it looks as a full film. */
  readonly colour: string
  /** Its swatch over black and over white. */
  readonly overBlack: string
  readonly overWhite: string
  /** Whether the swatch was measured, or follows from the colour. */
  readonly measured: boolean
  /** The strips of a split cake, in order; empty for a single colour. */
  readonly strips: readonly Strip[]
  /** What the label says of the eyes and of lips; null while nobody has entered it, which counts as not safe. */
  readonly eyeSafe: boolean | null
  readonly lipSafe: boolean | null
  /** The day on which it was opened, ISO 8601, and how many months it is good for after that. */
  readonly openedOn: string | null
  readonly months: number
  /** Grams left, grams of a full cake, and what a full one costs; null where nobody said. */
  readonly grams: number | null
  readonly cakeGrams: number
  readonly price: number | null
  /** The size of a strip cake that is still to be cut and put together; left out for paints that are there. */
  readonly toMake?: CakeSize | undefined
}

/** The optics of a swatch from its colours over black and over white. */
export const opticsOfSwatch = (overBlack: string, overWhite: string): Optics =>
  opticsOf(linearOf(overBlack), linearOf(overWhite))

/** The optics of a colour of which nothing else is known. */
export const opticsOfColour = (colour: string, hiding = USUAL_HIDING): Optics =>
  opticsFrom(linearOf(colour), hiding)

/** Hiding power of a paint's swatch film, as a contrast ratio. */
export const hidingOf = ({ overBlack, overWhite }: Pick<Paint, 'overBlack' | 'overWhite'>): number =>
  contrastRatio(opticsOfSwatch(overBlack, overWhite))

/** The last day on which a paint is good; null when nobody knows when it was opened. */
export function useBy({ openedOn, months }: Pick<Paint, 'openedOn' | 'months'>): string | null {
  if (openedOn === null) return null
  const [y, m, d] = openedOn.split('-').map(Number) as [number, number, number]
  const month = m - 1 + months
  const last = new Date(Date.UTC(y + Math.floor(month / 12), (month % 12) + 1, 0)).getUTCDate()
  return `${y + Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}-${String(Math.min(d, last)).padStart(2, '0')}`
}

/** The paint of the kit that a strip is: the one it names, else the one of its name (or id) and colour. */
export const paintOfStrip = (strip: Strip, kit: readonly Paint[]): Paint | undefined =>
  kit.find(p => p.id === strip.paint) ??
  kit.find(
    p =>
      (p.name === strip.name || p.id === strip.name) &&
      p.colour.toLowerCase() === strip.colour.toLowerCase() &&
      p.strips.length === 0,
  )

/**
 * Everything that a load of a paint brings to the skin: the paint itself, and of a split cake the paints of
 * its strips.
 */
export const partsOf = (paint: Paint, kit: readonly Paint[]): Paint[] => [
  paint,
  ...paint.strips.flatMap(s => paintOfStrip(s, kit) ?? []),
]

/** What the label of a paint by itself says of a place; null while nobody has entered it. */
export const labelFor = (paint: Paint, what: 'eyes' | 'lips'): boolean | null =>
  what === 'eyes' ? paint.eyeSafe : paint.lipSafe

/**
 * What the labels say of a paint near the eyes, or on lips: a split cake is only as safe as the least safe of its
 * strips, and as unknown as the least known; null where that is not known.
 */
export function labelOf(paint: Paint, what: 'eyes' | 'lips', kit: readonly Paint[]): boolean | null {
  const labels = partsOf(paint, kit).map(p => labelFor(p, what))
  return labels.includes(false) ? false : labels.includes(null) ? null : true
}

/** Whether a paint may come near the eyes, or on lips: only where every label is known to allow it. */
export const safeNear = (paint: Paint, what: 'eyes' | 'lips', kit: readonly Paint[]): boolean =>
  labelOf(paint, what, kit) === true
