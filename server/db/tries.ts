import { randomUUID } from 'node:crypto'
import { familyOf, groundFor, nextLetter, parseLook, tryOf, type BeginsBy, type Look } from '../../core/look'
import type { looksIn, LookRecord } from './looks'
import type { Db } from './open'

/** A family in which every letter is taken. */
export class FamilyFull extends Error {}

/** A look that would be too much with what a try begins with; the message is a sentence. */
export class TryRefused extends Error {}

/** Tries of looks: families of copies, each a look of its own. */
export function triesIn(db: Db, looks: ReturnType<typeof looksIn>) {
  const familyIdOf = (id: string): string | null => looks.listed(id)?.family ?? null

  /** Saves whether a look of a family is the one that is kept. */
  function mark({ look, version }: LookRecord, kept: boolean, at: string): void {
    const family = familyOf(look)
    if (family.kept !== kept) looks.save({ ...look, family: { ...family, kept } }, version, at)
  }

  return {
    /** The tries of a look, itself among them, by their letters; null when there is no such look. */
    of(id: string): LookRecord[] | null {
      const family = familyIdOf(id)
      return family === null ? null : looks.ofFamily(family)
    },
    /**
     * Makes a new try of a look as it is kept.
     * @throws FamilyFull when every letter is taken, TryRefused when it cannot begin so
     */
    add: db.transaction((look: Look, why: string, begins: BeginsBy, at: string): LookRecord => {
      const letter = nextLetter(looks.letters(familyOf(look).id))
      if (!letter) throw new FamilyFull('This look has 26 tries: delete some for good before a new one.')
      const made = tryOf(
        look,
        { id: randomUUID(), letter, why },
        begins,
        randomUUID().slice(0, 10),
        groundFor(look),
      )
      const read = parseLook(made)
      if (!read.ok) throw new TryRefused(read.errors[0]!)
      return looks.create(read.look, at)
    }),
    /** A look that comes in from elsewhere: one whose letter its family has already gets the next one. */
    incoming(look: Look): Look {
      const { family } = look
      const taken = family ? looks.letters(family.id) : []
      if (!family || !taken.includes(family.letter)) return look
      const letter = nextLetter(taken)
      // A family that is full takes in no more: it comes in as a look of its own.
      return { ...look, family: letter ? { ...family, letter, kept: false } : undefined }
    },
    /** Makes one try the look, and the others tries beside it. Returns the family as it is then. */
    keep: db.transaction((id: string, at: string): LookRecord[] | null => {
      const family = familyIdOf(id)
      if (family === null) return null
      for (const record of looks.ofFamily(family)) mark(record, record.look.id === id, at)
      return looks.ofFamily(family)
    }),
  }
}
