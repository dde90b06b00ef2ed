import Database from 'better-sqlite3'
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { createHash } from 'node:crypto'
import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { sheetFromJson, sheetSvg } from '../../core/formats'
import { openDb } from '../db/open'

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
/** Bytes of the largest file that is unpacked: far more than any collection has. */
const MOST_BYTES = 1.5e9

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

/** The files of an archive. Throws RangeError when it is none, or unpacks to more than any backup has. */
function unpacked(archive: Uint8Array): Record<string, Uint8Array> {
  let total = 0
  try {
    return unzipSync(archive, {
      filter: ({ originalSize }) => {
        total += originalSize
        if (total > MOST_BYTES) throw new RangeError('too large')
        return true
      },
    })
  } catch {
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
  const damaged = Object.entries(manifest.files).find(([name, digest]) => {
    const data = files[name]
    return !data || digestOf(data) !== digest
  })
  if (damaged)
    throw new RangeError(`This backup is damaged: "${basename(damaged[0])}" in it is not as it was written.`)
  mkdirSync(dirname(target), { recursive: true })
  writeFileSync(target, database, { flush: true })
  try {
    const db = openDb(target)
    // One file, so that it can be moved to its place.
    db.pragma('journal_mode = DELETE')
    db.close()
  } catch (error) {
    rmSync(target, { force: true })
    throw new RangeError(`This backup cannot be used. ${error instanceof Error ? error.message : ''}`.trim())
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

/** The folder of the backups of a data file. */
export const backupFolder = (database: string): string => join(dirname(database), 'backups')
