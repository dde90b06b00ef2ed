import { paintOfStrip, type CakeSize, type Paint, type Strip } from '../paint'

/** Density of a pressed water-activated cake, g/cm3 (common practice; an estimate). */
const CAKE_DENSITY = 1.5
/** Share of what is cut that crumbles away, so that more must be cut (common practice; an estimate). */
const CRUMBLES = 0.1

/** Sizes that are asked for, mm. */
export const SIZES = { length: [10, 120], depth: [2, 30] } as const satisfies Record<
  keyof CakeSize,
  readonly [number, number]
>

/** What is to be cut from one cake of the kit. */
export interface Cut {
  /** Null for a strip that is of no paint of the kit. */
  readonly paint: Paint | null
  readonly name: string
  readonly colour: string
  /** Width of all strips that are of it, mm. */
  readonly width: number
  /** Grams that are to be cut, with what crumbles away. */
  readonly grams: number
  /** Grams that are left in its cake afterwards, below zero where there is not enough; null when nobody knows. */
  readonly leaves: number | null
  /** What it costs; null when nobody said. */
  readonly cost: number | null
}

/** Width of a cake, mm. */
export const widthOf = (strips: readonly Pick<Strip, 'width'>[]): number =>
  strips.reduce((sum, s) => sum + s.width, 0)

const gramsOf = (width: number, { length, depth }: CakeSize): number =>
  (width * length * depth * CAKE_DENSITY) / 1000

/** Grams of a cake, 0.1 g. */
export const cakeGrams = (strips: readonly Pick<Strip, 'width'>[], size: CakeSize): number =>
  tenth(gramsOf(widthOf(strips), size))

const tenth = (x: number): number => Math.round(10 * x) / 10

/** What is to be cut from each cake of the kit, strips of one paint taken together, in order. */
export function cutsOf(strips: readonly Strip[], size: CakeSize, kit: readonly Paint[]): Cut[] {
  const cuts = new Map<string, Cut>()
  for (const strip of strips) {
    const paint = paintOfStrip(strip, kit) ?? null
    const key = paint?.id ?? `${strip.name} ${strip.colour}`
    const width = strip.width + (cuts.get(key)?.width ?? 0)
    const grams = tenth(gramsOf(width, size) * (1 + CRUMBLES))
    const { price = null, cakeGrams: full = 0, grams: has = null } = paint ?? {}
    cuts.set(key, {
      paint,
      name: paint?.name ?? (strip.name || strip.colour),
      colour: strip.colour,
      width,
      grams,
      leaves: has === null ? null : tenth(has - grams),
      cost: price === null ? null : (price * grams) / full,
    })
  }
  return [...cuts.values()]
}

/** What a cake costs; null unless it is known of every cut. */
export const costOfCuts = (cuts: readonly Cut[]): number | null =>
  cuts.every(c => c.cost !== null) ? cuts.reduce((sum, c) => sum + c.cost!, 0) : null

/** Length of a stroke by which a cake's worth is told, mm. */
export const TOLD_STROKE = 60
/**
 * How many strokes as wide as the cake it gives.
 * @param film what a stroke leaves, mg/cm2
 */
export const strokesOf = ({ length, depth }: CakeSize, film: number): number =>
  Math.floor((length * depth * CAKE_DENSITY * 100) / (TOLD_STROKE * film))

/**
 * The kit once a cake is made: what was cut is taken from its cakes, and the cake itself is there, opened on a
 * day.
 * @returns only the paints that have changed, the made one last
 */
export function madeOf(cake: Paint, kit: readonly Paint[], day: string): Paint[] {
  const { toMake, ...made } = cake
  if (!toMake) return []
  const cuts = cutsOf(cake.strips, toMake, kit)
  const cost = costOfCuts(cuts)
  const grams = cakeGrams(cake.strips, toMake)
  const cutFrom = cuts.flatMap(({ paint, leaves }) =>
    paint && leaves !== null ? [{ ...paint, grams: Math.max(0, leaves) }] : [],
  )
  return [
    ...cutFrom,
    {
      ...made,
      openedOn: day,
      grams,
      cakeGrams: grams,
      price: cost === null ? null : Math.round(100 * cost) / 100,
    },
  ]
}
