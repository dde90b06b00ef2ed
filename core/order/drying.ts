import type { FilmState, Wetness } from '../paint'

/**
 * Seconds until a film may be worked over, at 23 C and half humidity (common practice, replaced by logged
 * times).
 */
const DRYING = { chalky: 12, tacky: 20, damp: 45, runny: 120, base: 60 } as const

/** Drying time of a film, s: a base by sponge or brush takes longer than a stencil's print. */
export const dryingSeconds = (wetness: Wetness, base: boolean): number =>
  base
    ? wetness === 'runny'
      ? DRYING.runny
      : wetness === 'chalky' || wetness === 'tacky'
        ? 0.6 * DRYING.base
        : DRYING.base
    : DRYING[wetness]

/** What a film is after some seconds: wet for the first half of its drying time, tacky until its end. */
export const stateAfter = (seconds: number, drying: number): FilmState =>
  seconds >= drying ? 'dry' : seconds >= drying / 2 ? 'tacky' : 'wet'
