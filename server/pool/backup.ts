import Database from 'better-sqlite3'
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { createHash } from 'node:crypto'
import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { sheetFromJson, sheetSvg } from '../../core/formats'
import { MIGRATIONS } from '../db/migrations'
import { openDb } from '../db/open'
import { schemaOf, type Table } from '../db/schema'

/** What a backup says of itself: what it is, of when, and a digest of each file in it. */
interface Manifest {
  readonly format: 'janusform-backup'
  readonly version: 1
  readonly madeAt: string
  readonly looks: number
  readonly sheets: number
  /** SHA-256 of each file, by its name in the archive. */
  readonly files: Readonly<Record<string, string>>
}

const DATABASE = 'janusform.db'
const MANIFEST = 'manifest.json'
/** Bytes that a backup unpacks to at most, and how many times its own size: no collection packs better. */
const MOST_BYTES = 800e6
const MOST_TIMES = 100

const digestOf = (data: Uint8Array): string => createHash('sha256').update(data).digest('hex')
const fileSafe = (name: string): string =>
  name
    .replace(/[^\p{L}\p{N} -]+/gu, '')
    .trim()
    .slice(0, 60) || 'unnamed'

/** Looks as JSON and sheets as SVG, so that a backup can be read without this application. */
function openFiles(db: Database.Database): {
  files: Record<string, Uint8Array>
  looks: number
  sheets: number
} {
  const files: Record<string, Uint8Array> = {}
  const looks = db
    .prepare<[], { id: string; name: string; doc: string }>(
      'SELECT id, name, doc FROM looks WHERE deleted_at IS NULL',
    )
    .all()
  for (const { id, name, doc } of looks)
    files[`looks/${fileSafe(name)} (${fileSafe(id)}).janusform-look.json`] = strToU8(doc)
  const sheets = db
    .prepare<[], { id: string; name: string; geometry: string }>('SELECT id, name, geometry FROM stencils')
    .all()
  for (const { id, name, geometry } of sheets) {
    try {
      files[`sheets/${fileSafe(name)} (${fileSafe(id)}).svg`] = strToU8(
        sheetSvg(sheetFromJson(JSON.parse(geometry)), name),
      )
    } catch {
      // A damaged sheet is in the database as it is; it has no drawing.
    }
  }
  return { files, looks: looks.length, sheets: sheets.length }
}

/**
 * Writes everything into one file: a whole copy of the database, looks as JSON, sheets as SVG, and a digest of
 * each. The file appears under its name only when it is complete.
 */
export function writeBackup({
  database,
  target,
  at,
}: {
  database: string
  target: string
  at: string
}): void {
  mkdirSync(dirname(target), { recursive: true })
  const copy = `${target}.db.tmp`
  rmSync(copy, { force: true })
  const db = new Database(database, { fileMustExist: true })
  try {
    db.prepare('VACUUM INTO ?').run(copy)
    const { files, looks, sheets } = openFiles(db)
    const all: Record<string, Uint8Array> = { [DATABASE]: readFileSync(copy), ...files }
    const manifest: Manifest = {
      format: 'janusform-backup',
      version: 1,
      madeAt: at,
      looks,
      sheets,
      files: Object.fromEntries(Object.entries(all).map(([name, data]) => [name, digestOf(data)])),
    }
    const archive: Zippable = { [MANIFEST]: strToU8(JSON.stringify(manifest, null, 2)), ...all }
    writeFileSync(`${target}.tmp`, zipSync(archive, { level: 4 }), { flush: true })
    renameSync(`${target}.tmp`, target)
  } finally {
    db.close()
    for (const left of [copy, `${target}.tmp`]) rmSync(left, { force: true })
  }
}

class TooLarge extends Error {}

/** The files of an archive. Throws RangeError when it is none, or unpacks to more than any backup has. */
function unpacked(archive: Uint8Array): Record<string, Uint8Array> {
  let total = 0
  try {
    return unzipSync(archive, {
      // What it says that it unpacks to is summed before anything is unpacked.
      filter: ({ originalSize }) => {
        total += originalSize
        if (total > Math.min(MOST_BYTES, 1e6 + MOST_TIMES * archive.length)) throw new TooLarge()
        return true
      },
    })
  } catch (error) {
    if (error instanceof TooLarge)
      throw new RangeError(
        'This file unpacks to far more than any backup of Janusform has, and was not read.',
      )
    throw new RangeError('This file is no backup of Janusform: it is damaged, too large or of another kind.')
  }
}

/** What is in a backup, once every digest agrees. */
export interface BackupRead {
  readonly madeAt: string
  readonly looks: number
  readonly sheets: number
}

/**
 * Reads a backup and lays the database that is in it beside the target, checked and brought up to date.
 * @throws RangeError with a sentence when the file is damaged, no backup, or of a newer version
 */
export function readBackup({ archive, target }: { archive: string; target: string }): BackupRead {
  const files = unpacked(readFileSync(archive))
  const database = files[DATABASE]
  const manifest = manifestOf(files[MANIFEST])
  if (!manifest || !database)
    throw new RangeError('This file is no backup of Janusform: it holds no list of what is in it.')
  for (const [name, data] of Object.entries(files)) {
    const digest = Object.hasOwn(manifest.files, name) ? manifest.files[name] : undefined
    if (name !== MANIFEST && (digest === undefined || digestOf(data) !== digest))
      throw new RangeError(`This backup is damaged: "${basename(name)}" in it is not as it was written.`)
  }
  const lost = Object.keys(manifest.files).find(name => !Object.hasOwn(files, name))
  if (lost !== undefined)
    throw new RangeError(`This backup is damaged: "${basename(lost)}" is missing in it.`)
  mkdirSync(dirname(target), { recursive: true })
  const source = `${target}.source`
  writeFileSync(source, database, { flush: true })
  try {
    copyRows(source, target)
  } catch (error) {
    rmSync(target, { force: true })
    throw error instanceof RangeError
      ? error
      : new RangeError(`This backup cannot be used. ${error instanceof Error ? error.message : ''}`.trim())
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(source + end, { force: true })
  }
  const { madeAt, looks, sheets } = manifest
  return { madeAt, looks, sheets }
}

function manifestOf(data: Uint8Array | undefined): Manifest | null {
  try {
    const read = JSON.parse(strFromU8(data!)) as Partial<Manifest>
    return read.format === 'janusform-backup' && read.version === 1 && read.files ? (read as Manifest) : null
  } catch {
    return null
  }
}

/** What is wrong with the tables of a database of some version, as a sentence; null when nothing is. */
function schemaProblem(db: Database.Database, version: number): string | null {
  const own = openDb(':memory:', MIGRATIONS.slice(0, version))
  const expected = schemaOf(own)
  own.close()
  const extra = db
    .prepare<[], { type: string; name: string }>(
      "SELECT type, name FROM sqlite_master WHERE type NOT IN ('table', 'index') OR (type = 'table' AND name NOT LIKE 'sqlite_%')",
    )
    .all()
    .find(({ type, name }) => type !== 'table' || !expected.some(t => t.name === name))
  if (extra) return `it holds a ${extra.type} "${extra.name.slice(0, 60)}" that is none of Janusform's`
  const found = new Map(schemaOf(db).map(t => [t.name, t.columns.join()]))
  const missing = expected.find(t => found.get(t.name) !== t.columns.join())
  return missing ? `its table "${missing.name}" is missing or not as it should be` : null
}

/**
 * Copies the rows of a database into a fresh one, so that nothing else that is in its file is taken over. The first
 * is brought up to date before.
 * @throws RangeError with a sentence when it is no database of this application or of a newer version
 */
function copyRows(source: string, target: string): void {
  const first = new Database(source, { fileMustExist: true })
  try {
    first.pragma('trusted_schema = OFF')
    if (first.pragma('quick_check(1)', { simple: true }) !== 'ok')
      throw new RangeError('This backup is damaged: the database in it is not whole.')
    const version = first.pragma('user_version', { simple: true }) as number
    if (version > MIGRATIONS.length)
      throw new RangeError(
        'This backup was written by a newer version of Janusform. Restore it there, or take an older backup.',
      )
    const problem = version < 1 ? 'its database is empty' : schemaProblem(first, version)
    if (problem) throw new RangeError(`This backup cannot be used: ${problem}.`)
  } finally {
    first.close()
  }
  openDb(source).close()
  rmSync(target, { force: true })
  const db = openDb(target)
  try {
    const tables = schemaOf(db)
    db.prepare('ATTACH ? AS source').run(source)
    db.transaction(() => {
      // Rows that name one another come in whatever order.
      db.pragma('defer_foreign_keys = ON')
      for (const table of tables) copyTable(db, table)
    })()
    db.exec('DETACH source')
    // One file, so that it can be moved to its place.
    db.pragma('journal_mode = DELETE')
  } finally {
    db.close()
  }
}

const copyTable = (db: Database.Database, { name, columns }: Table): void => {
  const list = columns.map(c => `"${c}"`).join(', ')
  db.exec(`INSERT INTO main."${name}" (${list}) SELECT ${list} FROM source."${name}"`)
}

/** The folder of the backups of a data file. */
export const backupFolder = (database: string): string => join(dirname(database), 'backups')
