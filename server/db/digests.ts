import { createHash } from 'node:crypto'
import type { Db } from './open'
import type { Table } from './schema'

/*
 * SQLite sees that the structure of its file is damaged, and not that a byte of a text or a picture is another.
 * So each row keeps a digest of each of its values in its column `digests`, as a JSON object by column.
 *
 * Temporary triggers write it, so that no statement has to think of it, and the file itself holds none.
 */

/** What a value of a row can be. */
type Value = string | number | bigint | Buffer | null
type Digests = Record<string, string>

/** The column that holds the digests of the others. */
const COLUMN = 'digests'
/** Hexadecimal digits of a digest: it is to see accidents, not forgery. */
const DIGITS = 12

/** A row of which a value is not as it was written. */
export interface Damage {
  readonly table: string
  readonly rowid: number
  /** The columns of the values. */
  readonly columns: readonly string[]
}

const digestOf = (value: Value): string =>
  createHash('sha1')
    .update(typeof value)
    .update(Buffer.isBuffer(value) ? value : String(value))
    .digest('hex')
    .slice(0, DIGITS)

const same = (a: Value, b: Value): boolean =>
  Buffer.isBuffer(a) && Buffer.isBuffer(b) ? a.equals(b) : a === b

/** The digests that a row keeps; null where they are damaged themselves. */
function digestsIn(kept: string): Digests | null {
  try {
    return kept === '' ? {} : (JSON.parse(kept) as Digests)
  } catch {
    return null
  }
}

const watched = ({ columns }: Table): string[] => columns.filter(c => c !== COLUMN)
const isWatched = ({ columns }: Table): boolean => columns.includes(COLUMN)
const list = (columns: readonly string[], of = ''): string => columns.map(c => `${of}"${c}"`).join(', ')

/**
 * The digests of a row after a change. Only values that the change replaced get a new one: a damaged value stays
 * known as damaged until it is written again.
 */
function digestsAfter(columns: readonly string[], kept: string, old: Value[], now: Value[]): string {
  const digests = digestsIn(kept) ?? {}
  columns.forEach((column, i) => {
    const value = now[i]!
    if (digests[column] === undefined || !same(old[i]!, value)) digests[column] = digestOf(value)
  })
  return JSON.stringify(digests)
}

/** Makes a connection keep the digests of every row that it writes. */
export function keepDigests(db: Db, tables: readonly Table[]): void {
  for (const table of tables.filter(isWatched)) {
    const columns = watched(table)
    const { name } = table
    const job = `digests_of_${name}`
    db.function(job, { varargs: true, deterministic: true }, (kept, ...values) =>
      digestsAfter(columns, String(kept), values.slice(0, columns.length), values.slice(columns.length)),
    )
    const put = (old: string): string =>
      `UPDATE "${name}" SET ${COLUMN} = ${job}(NEW.${COLUMN}, ${list(columns, `${old}.`)}, ${list(columns, 'NEW.')})
       WHERE rowid = NEW.rowid`
    db.exec(`
      -- A row that is copied with its digests keeps them.
      CREATE TEMP TRIGGER "${name}_inserted" AFTER INSERT ON main."${name}" WHEN NEW.${COLUMN} = ''
        BEGIN ${put('NEW')}; END;
      CREATE TEMP TRIGGER "${name}_updated" AFTER UPDATE OF ${list(columns)} ON main."${name}"
        BEGIN ${put('OLD')}; END;
    `)
  }
}

/** Gives digests to all rows of some tables that have none. */
export function fillDigests(db: Db, tables: readonly Table[]): void {
  for (const table of tables.filter(isWatched)) {
    const columns = watched(table)
    const put = db.prepare<[string, number]>(`UPDATE "${table.name}" SET ${COLUMN} = ? WHERE rowid = ?`)
    const without = db.prepare<[]>(`SELECT rowid FROM "${table.name}" WHERE ${COLUMN} = ''`).pluck()
    const one = db.prepare<[number], Value[]>(`SELECT ${list(columns)} FROM "${table.name}" WHERE rowid = ?`)
    for (const rowid of without.all() as number[]) {
      const values = one.raw().get(rowid)!
      put.run(digestsAfter(columns, '', values, values), rowid)
    }
  }
}

/** The columns of a row that are not as they were written. */
function damagedColumns(columns: readonly string[], kept: string, values: readonly Value[]): string[] {
  const digests = digestsIn(kept)
  if (!digests) return [COLUMN]
  return columns.filter((column, i) => {
    const digest = digests[column]
    return digest !== undefined && digest !== digestOf(values[i]!)
  })
}

/** Reads every value of a database, and finds those that are not as they were written. */
export function damageIn(db: Db, tables: readonly Table[]): Damage[] {
  return tables.filter(isWatched).flatMap(table => {
    const columns = watched(table)
    const rows = db
      .prepare<[], Value[]>(`SELECT rowid, ${COLUMN}, ${list(columns)} FROM "${table.name}"`)
      .raw()
    const found: Damage[] = []
    for (const [rowid, kept, ...values] of rows.iterate()) {
      const damaged = damagedColumns(columns, String(kept), values)
      if (damaged.length) found.push({ table: table.name, rowid: Number(rowid), columns: damaged })
    }
    return found
  })
}
