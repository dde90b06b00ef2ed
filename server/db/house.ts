import { looksIn } from './looks'
import { openDb } from './open'
import { paintsIn } from './paints'
import { picturesIn } from './pictures'
import { readingsIn } from './readings'
import { revisionsIn } from './revisions'
import { stencilsIn } from './stencils'

/**
 * Opens the database with all that is kept in it.
 * @throws HouseTrouble with a sentence when the file cannot be used
 */
export function openHouse(file?: string) {
  const db = openDb(file)
  return {
    db,
    looks: looksIn(db),
    revisions: revisionsIn(db),
    pictures: picturesIn(db),
    stencils: stencilsIn(db),
    paints: paintsIn(db),
    readings: readingsIn(db),
  }
}

export type House = ReturnType<typeof openHouse>
