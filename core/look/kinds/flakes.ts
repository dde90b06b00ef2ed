import type { Ring } from '../../geometry'
import { linearOf, opticsOfColour } from '../../paint'
import type { SparkColour } from '../document'
import { BY_BRUSH, type Print } from './print'

/**
 * Sorts of glitter: size of a flake, how many to the mm2 when it lies thick, and how much gel holds them
 * (common practice).
 */
export const GLITTERS = {
  fine: { words: 'fine loose glitter', size: 0.22, density: 3.2, gel: 0 },
  spray: { words: 'shimmer spray', size: 0.14, density: 4.5, gel: 0 },
  gel: { words: 'glitter gel', size: 0.42, density: 1.5, gel: 0.35 },
  chunky: { words: 'chunky glitter', size: 1.25, density: 0.2, gel: 0.15 },
} as const
export type GlitterSort = keyof typeof GLITTERS
export const GLITTER_SORTS = ['fine', 'spray', 'gel', 'chunky'] as const satisfies readonly GlitterSort[]

export const WHITE_GLITTER: SparkColour = { name: 'Frost', colour: '#EEF1F6' }

/** A seed from a step's id, so that no two steps glitter alike. */
const seedOf = (id: string): number =>
  [...id].reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16777619), 2166136261) & 0xffff

/** Flakes of another size lie as thick: the fewer, the larger they are, and never more than so many to the mm2. */
const THICKEST = 6

/**
 * Glitter over some rings.
 * @param amount 0 to 1
 */
export function flakesOn(
  rings: readonly Ring[],
  sort: GlitterSort,
  look: Pick<SparkColour, 'colour' | 'finish' | 'flake'>,
  amount: number,
  id: string,
  softness = 0.4,
): Print {
  const { size: usual, density: thick, gel } = GLITTERS[sort]
  const size = look.flake ?? usual
  const density = look.flake ? Math.min(THICKEST, thick * (usual / look.flake) ** 2) : thick
  return {
    rings,
    spread: null,
    paints: [{ optics: opticsOfColour('#EEF1F6'), finish: 'metallic' }],
    axis: null,
    strips: null,
    film: 0,
    opacity: 0.35 * amount,
    softness,
    grain: 0,
    ...BY_BRUSH,
    meets: null,
    particles: {
      kind: 'flakes',
      colour: linearOf(look.colour),
      size,
      density: density * amount,
      seed: seedOf(id),
      gel: gel * amount,
      ...(look.finish && { finish: look.finish }),
    },
  }
}
