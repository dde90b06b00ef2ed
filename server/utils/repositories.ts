import { looksIn } from '../db/looks'
import { openDb } from '../db/open'
import { paintsIn } from '../db/paints'
import { readingsIn } from '../db/readings'
import { stencilsIn } from '../db/stencils'

function open() {
  const db = openDb()
  return { db, looks: looksIn(db), stencils: stencilsIn(db), paints: paintsIn(db), readings: readingsIn(db) }
}

let repositories: ReturnType<typeof open> | null = null

/** The repositories, opened once. */
export const useRepositories = () => (repositories ??= open())
