import type { Db } from './open'

/** A table with the names of its columns, in their order. */
export interface Table {
  readonly name: string
  readonly columns: readonly string[]
}

/** The tables of a database. */
export const schemaOf = (db: Db): Table[] =>
  db
    .prepare<[], string>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
    )
    .pluck()
    .all()
    .map(name => ({
      name,
      columns: db.prepare<[string], string>('SELECT name FROM pragma_table_info(?)').pluck().all(name),
    }))
