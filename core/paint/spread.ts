import type { ToolId, Wetness } from './tools'

/** How dry the film is that lies beneath: dry skin counts as dry. */
export type FilmState = 'dry' | 'tacky' | 'wet'

/** How much a film beneath makes paint spread (common practice). */
const FILM_SPREAD: Readonly<Record<FilmState, number>> = { dry: 1, tacky: 1.6, wet: 3 }

/**
 * Edge spread of each tool on dry skin under a sheet that lies flat, mm, by wetness (common practice,
 * replaced by the painter's own readings).
 */
export const EDGE_SPREAD: Readonly<Record<ToolId, Readonly<Record<Wetness, number>>>> = {
  openCell: { chalky: 0.15, tacky: 0.4, damp: 0.9, runny: 1.8 },
  makeup: { chalky: 0.05, tacky: 0.15, damp: 0.4, runny: 1 },
  point: { chalky: 0.05, tacky: 0.15, damp: 0.4, runny: 1 },
  dauber: { chalky: 0.05, tacky: 0.2, damp: 0.5, runny: 1.2 },
  petal: { chalky: 0.1, tacky: 0.25, damp: 0.6, runny: 1.4 },
  halfMoon: { chalky: 0.1, tacky: 0.25, damp: 0.6, runny: 1.4 },
  baseBrush: { chalky: 0.15, tacky: 0.4, damp: 0.9, runny: 1.8 },
}

/**
 * On a wet film every dab past the first pushes the paint this much farther, as a share (common practice).
 */
const PER_DAB = 0.06

/**
 * How far paint creeps past the edge of an opening, mm: e0 (1 + gap / 0.5) times the ground's factor, more
 * with dabs on a wet film.
 * @param e0 spread of tool and wetness, mm
 * @param gap how far the sheet stands off the skin there, mm
 */
export function edgeSpread(
  e0: number,
  gap: number,
  ground: FilmState,
  wetness: Wetness,
  dabs: number,
): number {
  const wet = wetness === 'damp' || wetness === 'runny' || ground === 'wet'
  return e0 * (1 + gap / 0.5) * FILM_SPREAD[ground] * (wet ? 1 + PER_DAB * (dabs - 1) : 1)
}
