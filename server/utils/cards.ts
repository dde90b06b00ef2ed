import type { LookListed } from '../db/looks'

/** What a card of the gallery shows of a look. */
export interface LookCardData {
  readonly id: string
  readonly name: string
  readonly tags: readonly string[]
  readonly version: number
  readonly savedAt: string
  readonly age: number
  readonly canvas: string
  /** Seconds of painting; null until they are worked out. */
  readonly seconds: number | null
  readonly sheets: number
  /** Ids of the sheets that it uses. */
  readonly uses: readonly string[]
  readonly steps: number
  /** What the last picture was painted from; null when there is none yet. */
  readonly picture: string | null
  /** Whether a newer picture is still to come. */
  readonly awaits: boolean
  /** Whether the look is damaged where it is kept. */
  readonly damaged: boolean
  /** The family of tries to which it belongs, its letter there, why it was made, and whether it is the look. */
  readonly family: string
  readonly letter: string
  readonly why: string
  readonly kept: boolean
}

/** The card of a look; `key` is the one that its picture should have. */
export function cardOf(look: LookListed, key: string): LookCardData {
  const { id, name, tags, version, savedAt, age, canvas, seconds, sheets, steps } = look
  const { family, letter, why, kept } = look
  return {
    id,
    name,
    tags,
    version,
    savedAt,
    age,
    canvas,
    seconds,
    sheets: sheets.length,
    uses: sheets,
    steps,
    picture: look.pictureKey,
    awaits: usePaintAhead().awaits(look, key),
    damaged: look.drawn === '',
    family,
    letter,
    why,
    kept,
  }
}
