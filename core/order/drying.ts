import type { FilmState, Wetness } from '../paint'

/**
 * Seconds until a film may be worked over, at 23 C and half humidity (common practice, replaced by logged
 * times).
 */
const DRYING = { chalky: 12, tacky: 20, damp: 45, runny: 120, base: 60 } as const

/** Films for which those times hold, mg/cm2: a print of some dabs, a base of two layers (common practice). */
const USUAL_FILM = { print: 1.5, base: 1.8 } as const
/** However thin or thick it is, a film takes no less or more than so many times the usual. */
const THINNEST = 1 / 3
const THICKEST = 3

/**
 * Drying time of a film, s: a base by sponge or brush takes longer than a stencil's print, and a thick film longer
 * than a thin one. As much water leaves each cm2 in a second, so the time grows with the film.
 * @param film mg/cm2
 */
export function dryingSeconds(wetness: Wetness, base: boolean, film: number): number {
  const thick = film / USUAL_FILM[base ? 'base' : 'print']
  return startingSeconds(wetness, base) * Math.min(THICKEST, Math.max(THINNEST, thick))
}

const startingSeconds = (wetness: Wetness, base: boolean): number =>
  base
    ? wetness === 'runny'
      ? DRYING.runny
      : wetness === 'chalky' || wetness === 'tacky'
        ? 0.6 * DRYING.base
        : DRYING.base
    : DRYING[wetness]

/** Seconds until what a brush has drawn or filled in is dry: it lies thin and in the open (common practice). */
export const STROKE_DRIES = 30

/** What a film is after some seconds: wet for the first half of its drying time, tacky until its end. */
export const stateAfter = (seconds: number, drying: number): FilmState =>
  seconds >= drying ? 'dry' : seconds >= drying / 2 ? 'tacky' : 'wet'
