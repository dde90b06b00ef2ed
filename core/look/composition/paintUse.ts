import { kindOf, type World } from '../kinds'
import type { Look } from '../look'

/** What a look takes of one paint: an estimate. */
export interface PaintUse {
  readonly id: string
  readonly name: string
  readonly colour: string
  readonly grams: number
  readonly cost: number | null
  /** How many such looks the cake is still good for; null when nobody knows what is left. */
  readonly lasts: number | null
}

/**
 * Paint stays on the tool and is washed out: what reaches the skin is about this share of what is taken up
 * (common practice).
 */
const REACHES = 0.6

/** Grams and cost of each paint of a look, what is taken up included; most first. */
export function paintUseOf(look: Look, world: World): PaintUse[] {
  const all = new Map<string, { name: string; colour: string; mg: number }>()
  for (const step of look.steps) {
    if (world.off?.has(step.id)) continue
    for (const { refs, mg } of kindOf(step).lays(step, world))
      for (const { id, name, colour } of refs)
        all.set(id, { name, colour, mg: (all.get(id)?.mg ?? 0) + mg / refs.length })
  }
  return [...all]
    .map(([id, { name, colour, mg }]) => {
      const paint = world.paint(id)
      const grams = mg / 1000 / REACHES
      return {
        id,
        name: paint?.name ?? name,
        colour: paint?.colour ?? colour,
        grams,
        cost: !paint || paint.price === null ? null : (paint.price * grams) / paint.cakeGrams,
        lasts: !paint || paint.grams === null || grams === 0 ? null : Math.floor(paint.grams / grams),
      }
    })
    .sort((a, b) => b.grams - a.grams)
}

/** A cake that lasts for fewer looks than this wants a warning (common practice). */
export const FEW = 10
