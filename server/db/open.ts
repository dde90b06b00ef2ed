import Database from 'better-sqlite3'
import { mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'

export type Db = Database.Database

/** Where the data are kept: JANUSFORM_DATA, else data/ of the project. */
const dataFile = (): string => join(resolve(process.env.JANUSFORM_DATA ?? 'data'), 'janusform.db')

/**
 * Opens the database and brings it up to date.
 * @param file a path, or ':memory:'
 * @param migrations the folder of numbered SQL files
 */
export function openDb(file = dataFile(), migrations = resolve('server/db/migrations')): Db {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true })
  const db = new Database(file)
  db.pragma('journal_mode = WAL')
  db.pragma('foreign_keys = ON')
  db.pragma('synchronous = FULL')
  db.pragma('busy_timeout = 4000')
  migrate(db, migrations)
  return db
}

/**
 * Runs the migrations that a database has not seen yet, each whole or not at all, in the order of their
 * numbers.
 */
function migrate(db: Db, folder: string): void {
  const done = db.pragma('user_version', { simple: true }) as number
  for (const name of readdirSync(folder)
    .filter(f => /^\d{3}_.+\.sql$/.test(f))
    .sort()) {
    const number = Number(name.slice(0, 3))
    if (number <= done) continue
    db.transaction(() => {
      db.exec(readFileSync(join(folder, name), 'utf8'))
      db.pragma(`user_version = ${number}`)
    })()
  }
}
