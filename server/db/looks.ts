import { upgraded, type Look } from '../../core/look'
import type { Db } from './open'

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

/** A look as it was kept, brought to the present version of the document. */
const lookIn = (doc: string): Look => upgraded(JSON.parse(doc)) as Look
const record = (row: Row): LookRecord => ({
  look: lookIn(row.doc),
  version: row.version,
  savedAt: row.updated_at,
})

/** A save made from a version that is no longer the newest. */
export class StaleWrite extends Error {
  constructor(readonly theirs: LookRecord) {
    super(`The look was saved from somewhere else meanwhile (version ${theirs.version}).`)
  }
}

/** Looks and their revisions. */
export function looksIn(db: Db) {
  const live = db.prepare<[string], Row>(
    'SELECT id, version, doc, updated_at FROM looks WHERE id = ? AND deleted_at IS NULL',
  )
  const known = db.prepare<[string]>('SELECT 1 FROM looks WHERE id = ?')
  const list = db.prepare<[], Row>(
    'SELECT id, version, doc, updated_at FROM looks WHERE deleted_at IS NULL ORDER BY updated_at DESC, name',
  )
  const insert = db.prepare(
    'INSERT INTO looks (id, name, version, doc, created_at, updated_at) VALUES (@id, @name, 1, @doc, @at, @at)',
  )
  const update = db.prepare(
    'UPDATE looks SET name = @name, version = version + 1, doc = @doc, updated_at = @at WHERE id = @id AND version = @base AND deleted_at IS NULL',
  )
  const keep = db.prepare(
    'INSERT INTO look_revisions (look_id, version, doc, saved_at) SELECT id, version, doc, updated_at FROM looks WHERE id = ?',
  )
  const mark = db.prepare(
    'UPDATE looks SET deleted_at = @at WHERE id = @id AND (deleted_at IS NULL) = @alive',
  )
  const revisions = db.prepare<[string], { version: number; doc: string; saved_at: string }>(
    'SELECT version, doc, saved_at FROM look_revisions WHERE look_id = ? ORDER BY version',
  )

  return {
    all: (): LookRecord[] => list.all().map(record),
    find: (id: string): LookRecord | null => {
      const row = live.get(id)
      return row ? record(row) : null
    },
    /** Whether the id was ever used, by a deleted look too. */
    knows: (id: string): boolean => known.get(id) !== undefined,
    create: db.transaction((look: Look, at: string): LookRecord => {
      insert.run({ id: look.id, name: look.name, doc: JSON.stringify(look), at })
      keep.run(look.id)
      return { look, version: 1, savedAt: at }
    }),
    /**
     * Saves a look over the version `base`; throws StaleWrite when another one is newer and says something
     * else, returns null when there is no such look.
     */
    save: db.transaction((look: Look, base: number, at: string): LookRecord | null => {
      if (update.run({ id: look.id, name: look.name, doc: JSON.stringify(look), base, at }).changes === 0) {
        const row = live.get(look.id)
        if (!row) return null
        // The newest version may be this very save, whose answer got lost on the way.
        if (row.doc === JSON.stringify(look)) return record(row)
        throw new StaleWrite(record(row))
      }
      keep.run(look.id)
      return { look, version: base + 1, savedAt: at }
    }),
    remove: (id: string, at: string): boolean => mark.run({ id, at, alive: 1 }).changes > 0,
    restore: (id: string): boolean => mark.run({ id, at: null, alive: 0 }).changes > 0,
    revisions: (id: string) =>
      revisions.all(id).map(r => ({ version: r.version, look: lookIn(r.doc), savedAt: r.saved_at })),
  }
}
