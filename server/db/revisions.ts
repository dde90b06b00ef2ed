import type { Look } from '../../core/look'
import { lookIn } from './lookFacts'
import type { Db } from './open'
import { thinnedOut } from './thinning'

/** A version of a look as a list shows it. */
export interface RevisionListed {
  readonly version: number
  readonly savedAt: string
  readonly name: string
  readonly steps: number
  /** What the painter called this version; null for most. */
  readonly label: string | null
}

/** The versions of looks: every save is one. */
export function revisionsIn(db: Db) {
  const list = db.prepare<[string], RevisionListed>(
    `SELECT version, saved_at AS savedAt, name, steps, label FROM look_revisions WHERE look_id = ?
     ORDER BY version DESC`,
  )
  const one = db.prepare<[string, number], { doc: string; saved_at: string }>(
    'SELECT doc, saved_at FROM look_revisions WHERE look_id = ? AND version = ?',
  )
  const label = db.prepare(
    'UPDATE look_revisions SET label = @label WHERE look_id = @id AND version = @version',
  )
  const drop = db.prepare('DELETE FROM look_revisions WHERE look_id = ? AND version = ?')
  const many = db.prepare<[], { id: string }>(
    'SELECT look_id AS id FROM look_revisions GROUP BY look_id HAVING count(*) > 1',
  )
  return {
    /** Every version of a look, the newest first, without its document. */
    list: (id: string): RevisionListed[] => list.all(id),
    /** The document of a version as text, as it is kept. */
    doc: (id: string, version: number): string | null => one.get(id, version)?.doc ?? null,
    /** A version; null when there is none or it cannot be read. */
    find(id: string, version: number): { version: number; look: Look; savedAt: string } | null {
      const row = one.get(id, version)
      if (!row) return null
      try {
        return { version, look: lookIn(row.doc), savedAt: row.saved_at }
      } catch {
        return null
      }
    },
    /** Names a version, so that it stays for good; null takes the name away. */
    label: (id: string, version: number, words: string | null): boolean =>
      label.run({ id, version, label: words }).changes > 0,
    /** Looks of which there are several versions. */
    several: (): string[] => many.all().map(row => row.id),
    /** Thins the versions of one look out; returns how many went. */
    thin: db.transaction((id: string, now: number): number => {
      const going = thinnedOut(list.all(id), now)
      for (const version of going) drop.run(id, version)
      return going.length
    }),
  }
}
