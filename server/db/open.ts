import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { keepDigests } from './digests'
import { MIGRATIONS, type Migration } from './migrations'
import { schemaOf } from './schema'
import { trouble, troubleIn } from './trouble'

export type Db = Database.Database

/** How long a write waits for another program that holds the file, ms: the server answers nobody meanwhile. */
const BUSY_MS = 400

/** The project's folder, from wherever this file runs: the built server or the sources. */
export function projectFolder(): string {
  let folder = dirname(fileURLToPath(import.meta.url))
  for (let up = dirname(folder); up !== folder; folder = up, up = dirname(folder)) {
    const about = join(folder, 'package.json')
    if (existsSync(about) && JSON.parse(readFileSync(about, 'utf8')).name === 'janusform') return folder
  }
  return process.cwd()
}

/** Where the data are kept: JANUSFORM_DATA, else data/ of the project, whatever folder one works in. */
export const dataFile = (): string =>
  join(
    process.env.JANUSFORM_DATA ? resolve(process.env.JANUSFORM_DATA) : join(projectFolder(), 'data'),
    'janusform.db',
  )

/**
 * Opens the database and brings it up to date.
 * @param file a path, or ':memory:'
 * @throws HouseTrouble with a sentence when the file cannot be used
 */
export function openDb(file = dataFile(), migrations = MIGRATIONS): Db {
  let db: Db | undefined
  try {
    if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
    db = new Database(file, { timeout: BUSY_MS })
    ready(db, file, migrations)
    return db
  } catch (error) {
    db?.close()
    throw troubleIn(error, file) ?? error
  }
}

function ready(db: Db, file: string, migrations: readonly Migration[]): void {
  // Before anything is written: a file of a newer version must stay as it is.
  if ((db.pragma('user_version', { simple: true }) as number) > migrations.length)
    throw trouble('NEWER', file)
  if (db.pragma('quick_check(1)', { simple: true }) !== 'ok') throw trouble('CORRUPT', file)
  db.pragma('journal_mode = WAL')
  db.pragma('foreign_keys = ON')
  db.pragma('synchronous = FULL')
  // The triggers that write digests are temporary, and need no file of their own.
  db.pragma('temp_store = MEMORY')
  migrate(db, migrations)
  keepDigests(db, schemaOf(db))
}

/** Runs the migrations that a database has not seen yet, in order, each whole or not at all. */
function migrate(db: Db, migrations: readonly Migration[]): void {
  const done = db.pragma('user_version', { simple: true }) as number
  migrations.slice(done).forEach(({ sql, fill }, n) =>
    db.transaction(() => {
      db.exec(sql)
      fill?.(db)
      db.pragma(`user_version = ${done + n + 1}`)
    })(),
  )
}
