import { freshRework } from '../composition'
import { copied } from '../document'
import type { Ground } from '../../skin'
import type { Look } from '../look'

/** What a look is in its family of tries; one that never had any is a family of its own. */
export type Family = NonNullable<Look['family']>

export const familyOf = ({ id, family }: Pick<Look, 'id' | 'family'>): Family =>
  family ?? { id, letter: 'A', why: '', kept: true }

/** A look as a list knows it, with the id of its family and its letter there. */
interface Listed {
  readonly id: string
  readonly name: string
  readonly family: string
  readonly letter: string
}

/** A look's name among others: with its letter where other tries of its family are there. */
export const titleAmong = (look: Listed, all: readonly Listed[]): string =>
  all.some(o => o.family === look.family && o.id !== look.id) ? `${look.name}, try ${look.letter}` : look.name

/** As many tries a family has at most: one for each letter. */
const MOST_TRIES = 26

/** The letter of the next try; null when every letter is taken. */
export function nextLetter(taken: readonly string[]): string | null {
  const last = Math.max(0, ...taken.map(letter => letter.charCodeAt(0) - 64))
  if (last < MOST_TRIES) return String.fromCharCode(65 + last)
  const free = Array.from({ length: MOST_TRIES }, (_, i) => String.fromCharCode(65 + i))
  return free.find(letter => !taken.includes(letter)) ?? null
}

/**
 * What a try begins with: everything stays, all of it is wiped off first, or only what one step printed is.
 */
export type BeginsBy =
  { readonly wipe: 'nothing' } | { readonly wipe: 'all' } | { readonly wipe: 'step'; readonly step: string }

/**
 * A new try of a look: a copy under an id of its own that knows its family. What is wiped first is wiped as a
 * step, so that its tint stays and its time counts.
 * @param stepId the id of the wiping
 */
export function tryOf(
  look: Look,
  { id, letter, why }: { readonly id: string; readonly letter: string; readonly why: string },
  begins: BeginsBy,
  stepId: string,
  ground: Ground,
): Look {
  const family: Family = { id: familyOf(look).id, letter, why, kept: false }
  const copy: Look = { ...copied(look), id, family }
  if (begins.wipe === 'nothing' || !look.steps.length) return copy
  const wiped =
    begins.wipe === 'all'
      ? freshRework(stepId, 'wipe', 'all', [0, 0], [], ground)
      : freshRework(stepId, 'wipe', 'print', [0, 0], [begins.step], ground)
  return { ...copy, steps: [...copy.steps, wiped] }
}
