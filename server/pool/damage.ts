import { damageIn, type Damage } from '../db/digests'
import { openDb, type Db } from '../db/open'
import { schemaOf } from '../db/schema'

/** What sort of thing is damaged. */
export type DamagedKind =
  'look' | 'version' | 'picture' | 'stencil' | 'photograph' | 'paint' | 'sitting' | 'reading' | 'setting'

/** A thing of which something is not as it was written. */
export interface Damaged {
  readonly kind: DamagedKind
  readonly id: string
  /** What it is called; empty for what has no name. */
  readonly name: string
}

interface Naming {
  readonly kind: DamagedKind
  /** SQL that gives `id` and `name` of the row with a rowid. */
  readonly sql: string
}

const NO_NAME = "'' AS name"
/** How the rows of each table are named. */
export const NAMINGS: Readonly<Record<string, Naming>> = {
  looks: { kind: 'look', sql: 'SELECT id, name FROM looks WHERE rowid = ?' },
  look_revisions: {
    kind: 'version',
    sql: "SELECT look_id AS id, name || ', version ' || version AS name FROM look_revisions WHERE rowid = ?",
  },
  pictures: { kind: 'picture', sql: `SELECT look_id AS id, ${NO_NAME} FROM pictures WHERE rowid = ?` },
  stencils: { kind: 'stencil', sql: 'SELECT id, name FROM stencils WHERE rowid = ?' },
  stencil_photos: {
    kind: 'photograph',
    sql: `SELECT stencil_id AS id, coalesce(name, '') AS name FROM stencil_photos
      LEFT JOIN stencils ON id = stencil_id WHERE stencil_photos.rowid = ?`,
  },
  paints: { kind: 'paint', sql: 'SELECT id, name FROM paints WHERE rowid = ?' },
  runs: { kind: 'sitting', sql: 'SELECT id, started_at AS name FROM runs WHERE rowid = ?' },
  edge_readings: { kind: 'reading', sql: 'SELECT id, tool AS name FROM edge_readings WHERE rowid = ?' },
  tool_readings: { kind: 'reading', sql: 'SELECT id, tool AS name FROM tool_readings WHERE rowid = ?' },
  ways: { kind: 'setting', sql: 'SELECT key AS id, key AS name FROM ways WHERE rowid = ?' },
  sparkles: { kind: 'setting', sql: 'SELECT kind AS id, kind AS name FROM sparkles WHERE rowid = ?' },
  settings: { kind: 'setting', sql: 'SELECT key AS id, key AS name FROM settings WHERE rowid = ?' },
}

function named(db: Db, { table, rowid }: Damage): Damaged {
  const { kind, sql } = NAMINGS[table]!
  const row = db.prepare<[number], { id: unknown; name: string }>(sql).get(rowid)
  return { kind, id: String(row?.id), name: row?.name ?? '' }
}

/**
 * Reads all that is kept, and names what is not as it was written.
 * @param database the data file
 */
export function findDamage(database: string): Damaged[] {
  const db = openDb(database)
  try {
    return damageIn(db, schemaOf(db)).map(damage => named(db, damage))
  } finally {
    db.close()
  }
}
