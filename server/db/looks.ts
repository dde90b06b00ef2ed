import type { Look } from '../../core/look'
import { columnsOf, factsOf, lookIn, type LookFacts } from './lookFacts'
import type { Db } from './open'
import { textsIn } from './ways'

export interface LookRecord {
  look: Look
  version: number
  savedAt: string
}

interface Row {
  id: string
  version: number
  doc: string
  updated_at: string
}

/** A look as a list shows it, from columns alone; `pictureKey` and `seconds` are of its last picture. */
export interface LookListed extends LookFacts {
  readonly id: string
  readonly version: number
  readonly savedAt: string
  readonly pictureKey: string | null
  readonly seconds: number | null
}

interface ListedRow extends Omit<LookListed, 'tags' | 'sheets' | 'paints' | 'kept'> {
  kept: number
  tags: string
  sheets: string
  paints: string
}

/** A look whose document cannot be read any more; the others are not touched by it. */
export class DamagedLook extends Error {
  constructor(name: string) {
    super(
      `"${name}" is damaged where it is kept, and cannot be opened. All other looks are whole; an earlier version of it may be too.`,
    )
  }
}

/** A save made from a version that is no longer the newest. */
export class StaleWrite extends Error {
  constructor(readonly theirs: LookRecord) {
    super(`The look was saved from somewhere else meanwhile (version ${theirs.version}).`)
  }
}

/** A look in a list; one of which a column is damaged is listed all the same, as damaged. */
const listed = ({ tags, sheets, paints, kept, drawn, ...row }: ListedRow): LookListed => {
  const [names, uses, colours] = [tags, sheets, paints].map(textsIn)
  const whole = names && uses && colours
  return {
    ...row,
    kept: kept === 1,
    tags: names ?? [],
    sheets: uses ?? [],
    paints: colours ?? [],
    drawn: whole ? drawn : '',
  }
}

/** A look as it was kept. Throws DamagedLook when its document cannot be read. */
function record(row: Row & { name: string }): LookRecord {
  try {
    return { look: lookIn(row.doc), version: row.version, savedAt: row.updated_at }
  } catch {
    throw new DamagedLook(row.name)
  }
}

/** A look as it was kept; null when its document cannot be read. */
function readable(row: Row & { name: string }): LookRecord | null {
  try {
    return record(row)
  } catch {
    return null
  }
}

const values = (look: Look, doc: string, at: string) => ({
  id: look.id,
  doc,
  at,
  ...columnsOf(factsOf(look)),
})

const LISTED = `SELECT id, version, name, tags, age, canvas, sheets, paints, steps, drawn,
  family, letter, why, kept, updated_at AS savedAt,
  pictures.key AS pictureKey, pictures.seconds AS seconds
  FROM looks LEFT JOIN pictures ON pictures.look_id = looks.id`

const statements = (db: Db) => ({
  live: db.prepare<[string], Row & { name: string }>(
    'SELECT id, name, version, doc, updated_at FROM looks WHERE id = ? AND deleted_at IS NULL',
  ),
  known: db.prepare<[string]>('SELECT 1 FROM looks WHERE id = ?'),
  list: db.prepare<[], ListedRow>(`${LISTED} WHERE deleted_at IS NULL ORDER BY updated_at DESC, name`),
  ofFamily: db
    .prepare<[string], string>(
      'SELECT id FROM looks WHERE family = ? AND deleted_at IS NULL ORDER BY letter, created_at',
    )
    .pluck(),
  letters: db.prepare<[string], string>('SELECT letter FROM looks WHERE family = ?').pluck(),
  one: db.prepare<[string], ListedRow>(`${LISTED} WHERE id = ? AND deleted_at IS NULL`),
  newest: db
    .prepare<[string, number], string>(
      'SELECT doc FROM looks WHERE deleted_at IS NULL AND id <> ? ORDER BY updated_at DESC LIMIT ?',
    )
    .pluck(),
  gone: db.prepare<[], { id: string; name: string; version: number; deletedAt: string }>(
    'SELECT id, name, version, deleted_at AS deletedAt FROM looks WHERE deleted_at IS NOT NULL ORDER BY deleted_at DESC',
  ),
  insert: db.prepare(
    `INSERT INTO looks (id, name, version, doc, created_at, updated_at, tags, age, canvas, sheets, paints, steps, drawn,
       family, letter, why, kept)
     VALUES (@id, @name, 1, @doc, @at, @at, @tags, @age, @canvas, @sheets, @paints, @steps, @drawn,
       @family, @letter, @why, @kept)`,
  ),
  update: db.prepare(
    `UPDATE looks SET name = @name, version = version + 1, doc = @doc, updated_at = @at, tags = @tags, age = @age,
      canvas = @canvas, sheets = @sheets, paints = @paints, steps = @steps, drawn = @drawn,
      family = @family, letter = @letter, why = @why, kept = @kept
     WHERE id = @id AND version = @base AND deleted_at IS NULL`,
  ),
  keep: db.prepare(
    `INSERT INTO look_revisions (look_id, version, doc, saved_at, name, steps)
     SELECT id, version, doc, updated_at, name, steps FROM looks WHERE id = ?`,
  ),
  discard: db.prepare('DELETE FROM looks WHERE id = ? AND version = 1 AND steps = 0'),
  mark: db.prepare('UPDATE looks SET deleted_at = @at WHERE id = @id AND (deleted_at IS NULL) = @alive'),
})

/** Looks, each with its facts in columns. Their earlier versions: see revisionsIn. */
export function looksIn(db: Db) {
  const { live, known, list, one, newest, gone, insert, update, keep, mark, discard, ...family } =
    statements(db)

  return {
    /** Every look as a list shows it, the newest first; no document is read. */
    list: (): LookListed[] => list.all().map(listed),
    listed: (id: string): LookListed | null => {
      const row = one.get(id)
      return row ? listed(row) : null
    },
    /** Looks that were deleted, the last one first. */
    deleted: () => gone.all(),
    /** Every look that can be read. */
    all: (): LookRecord[] => list.all().flatMap(({ id }) => readable(live.get(id)!) ?? []),
    /** A look; null when there is none. Throws DamagedLook when its document cannot be read. */
    find: (id: string): LookRecord | null => {
      const row = live.get(id)
      return row ? record(row) : null
    },
    /** The looks of a family, by their letters; those that were deleted are not among them. */
    ofFamily: (id: string): LookRecord[] =>
      family.ofFamily.all(id).flatMap(one => readable(live.get(one)!) ?? []),
    /** The letters of a family, those of deleted looks too: they may come back. */
    letters: (id: string): string[] => family.letters.all(id),
    /** The document of a look as text, as it is kept. */
    doc: (id: string): string | null => live.get(id)?.doc ?? null,
    /** The documents of the newest looks but one, as text. */
    newestDocs: (most: number, but: string): string[] => newest.all(but, most),
    /** Whether the id was ever used, by a deleted look too. */
    knows: (id: string): boolean => known.get(id) !== undefined,
    create: db.transaction((look: Look, at: string): LookRecord => {
      insert.run(values(look, JSON.stringify(look), at))
      keep.run(look.id)
      return { look, version: 1, savedAt: at }
    }),
    /**
     * Saves a look over the version `base`; throws StaleWrite when another one is newer and says something
     * else, returns null when there is no such look.
     */
    save: db.transaction((look: Look, base: number, at: string): LookRecord | null => {
      const doc = JSON.stringify(look)
      if (update.run({ ...values(look, doc, at), base }).changes === 0) {
        const row = live.get(look.id)
        if (!row) return null
        // The newest version may be this very save, whose answer got lost on the way.
        if (row.doc === doc) return record(row)
        throw new StaleWrite(record(row))
      }
      keep.run(look.id)
      return { look, version: base + 1, savedAt: at }
    }),
    remove: (id: string, at: string): boolean => mark.run({ id, at, alive: 1 }).changes > 0,
    /** Forgets a look that nobody ever put anything into; any other stays. Returns whether it was one. */
    discard: (id: string): boolean => discard.run(id).changes > 0,
    restore: (id: string): boolean => mark.run({ id, at: null, alive: 0 }).changes > 0,
  }
}
