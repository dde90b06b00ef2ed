import { createHash } from 'node:crypto'
import { familyOf, LOOK_FORMAT, paintsOf, sheetsOf, upgraded, withinBounds, type Look } from '../../core/look'
import { canvasWords } from '../../core/skin'
import type { Db } from './open'

/** What is kept of a look in columns beside its document: all that a list of looks shows or asks for. */
export interface LookFacts {
  readonly name: string
  readonly tags: readonly string[]
  readonly age: number
  /** What it is painted on, in words. */
  readonly canvas: string
  /** Ids of the sheets and of the paints that it uses. */
  readonly sheets: readonly string[]
  readonly paints: readonly string[]
  readonly steps: number
  /** A digest of what its picture is painted from: neither name nor notes. */
  readonly drawn: string
  /** The family of tries to which it belongs, its letter there, why it was made, and whether it is the look. */
  readonly family: string
  readonly letter: string
  readonly why: string
  readonly kept: boolean
}

export function factsOf(look: Look): LookFacts {
  const { name, tags, canvas, skin, steps } = look
  const { id: family, letter, why, kept } = familyOf(look)
  return {
    name,
    tags,
    age: skin.age,
    canvas: canvasWords(canvas),
    sheets: sheetsOf(look),
    paints: [...new Set(steps.flatMap(s => paintsOf(s).map(p => p.id)))],
    steps: steps.length,
    drawn: createHash('sha1')
      .update(JSON.stringify([canvas, skin, steps]))
      .digest('hex'),
    family,
    letter,
    why,
    kept,
  }
}

/** The facts as values for the columns of the table. */
export const columnsOf = ({ tags, sheets, paints, kept, ...rest }: LookFacts) => ({
  ...rest,
  kept: kept ? 1 : 0,
  tags: JSON.stringify(tags),
  sheets: JSON.stringify(sheets),
  paints: JSON.stringify(paints),
})

/**
 * A look as it was kept, brought to the present version of the document.
 * @throws Error when it is damaged
 */
export function lookIn(doc: string): Look {
  const found = JSON.parse(doc) as Partial<Look> | null
  // What is JSON and no look is as damaged as what is no JSON.
  if (found?.format !== LOOK_FORMAT || typeof found.name !== 'string' || !Array.isArray(found.steps))
    throw new RangeError('This is no look.')
  const look = upgraded(found) as Look
  // Some were kept before their numbers were bounded: such a look could be opened and never saved again.
  return { ...look, steps: look.steps.map(withinBounds) }
}

/** Fills the columns of looks that were kept before there were any; a damaged document leaves them empty. */
export function fillFacts(db: Db): void {
  const rows = db.prepare<[], { id: string; doc: string }>('SELECT id, doc FROM looks')
  const put = db.prepare(
    `UPDATE looks SET tags = @tags, age = @age, canvas = @canvas, sheets = @sheets, paints = @paints,
      steps = @steps, drawn = @drawn WHERE id = @id`,
  )
  for (const { id, doc } of rows.all()) {
    try {
      const { name: _name, ...columns } = columnsOf(factsOf(lookIn(doc)))
      put.run({ id, ...columns })
    } catch {
      // Told when the look is listed: its digest stays empty.
    }
  }
}
