import type { FilmState } from './spread'
import type { ToolId } from './tools'

/**
 * How much of a film that is not dry mixes with what is laid on it, as a share of the thinner of the two (common
 * practice).
 */
export const MIXES: Readonly<Record<FilmState, number>> = { wet: 0.7, tacky: 0.25, dry: 0 }

/** Share of a film that a dab takes up onto tool and sheet (common practice). */
const LIFTS: Readonly<Record<FilmState, number>> = { wet: 0.06, tacky: 0.02, dry: 0 }

/** How readily a tool takes up what lies beneath, against a finger dauber (common practice). */
export const TAKES_UP = { sponge: 1.5, dauber: 1, brush: 0.5 } as const

/** How readily a tool of the table takes up what lies beneath. */
export const takesUpOf = (tool: ToolId): number =>
  tool === 'dauber' ? TAKES_UP.dauber : tool === 'baseBrush' ? TAKES_UP.brush : TAKES_UP.sponge

/** Share of a film that stays after some dabs on it, 0 to 1. */
export const staysAfter = (state: FilmState, dabs: number, takesUp: number): number =>
  (1 - LIFTS[state] * takesUp) ** dabs

/** Two films that met: what stays of the lower one by itself, and the mixture above it. */
export interface Met {
  /** Thickness of the lower film that stays beneath. */
  readonly left: number
  /** Thickness of the mixture. */
  readonly mixed: number
  /** Share of the mixture that is the new paint, 0 to 1. */
  readonly share: number
}

/**
 * Paint laid on a film that is not dry: part of the film mixes with it, the rest stays beneath. Nothing is lost:
 * left + mixed = under + laid.
 * @param under thickness of the film beneath, in any unit
 * @param laid thickness of what is laid on it, 0 or more, in the same; nothing mixes with nothing
 * @param mixes share of the thinner of the two that mixes, 0 to 1; see MIXES
 */
export function met(under: number, laid: number, mixes: number): Met {
  if (laid <= 0 || under <= 0) return { left: Math.max(0, under), mixed: Math.max(0, laid), share: 1 }
  const taken = Math.min(under, laid) * mixes
  const mixed = laid + taken
  return { left: under - taken, mixed, share: laid / mixed }
}

/** How far a sheet slips on a film that is not dry while it is dabbed, mm (common practice). */
export const SLIPS: Readonly<Record<FilmState, number>> = { wet: 1.5, tacky: 0.5, dry: 0 }
