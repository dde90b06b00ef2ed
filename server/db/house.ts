import { statSync } from 'node:fs'
import { dryingFactor, USUAL_ROOM } from '../../core/order'
import { looksIn } from './looks'
import { openDb, type Db } from './open'
import { paintsIn } from './paints'
import { picturesIn } from './pictures'
import { readingsIn } from './readings'
import { revisionsIn } from './revisions'
import { runsIn } from './runs'
import { settingsIn } from './settings'
import { stencilsIn } from './stencils'
import { sparklesIn } from './sparkles'
import { triesIn } from './tries'
import { waysIn } from './ways'

let openings = 0

/** Which file a database is: its device and number; "" where none has its name, or it is in memory. */
function identityOf(db: Db): string {
  const found = db.memory ? undefined : statSync(db.name, { bigint: true, throwIfNoEntry: false })
  return found ? `${found.dev} ${found.ino}` : ''
}

/**
 * Opens the database with all that is kept in it.
 * @throws HouseTrouble with a sentence when the file cannot be used
 */
export function openHouse(file?: string) {
  const db = openDb(file)
  const identity = identityOf(db)
  const opened = ++openings
  const runs = runsIn(db)
  const settings = settingsIn(db)
  const looks = looksIn(db)
  const changes = db.prepare('SELECT total_changes()').pluck()
  return {
    db,
    /** Whether the data file is still the one that was opened: a deleted or replaced one takes writes in vain. */
    stands: (): boolean => identityOf(db) === identity,
    /** Another text whenever anything may have changed in the data, by this program or by another. */
    state: (): string => `${opened} ${changes.get()} ${db.pragma('data_version', { simple: true })}`,
    looks,
    tries: triesIn(db, looks),
    revisions: revisionsIn(db),
    pictures: picturesIn(db),
    stencils: stencilsIn(db),
    paints: paintsIn(db),
    readings: readingsIn(db, {
      paces: () => runs.paces(),
      driesBy: () => dryingFactor(settings.room() ?? USUAL_ROOM),
    }),
    ways: waysIn(db),
    sparkles: sparklesIn(db),
    runs,
    settings,
  }
}

export type House = ReturnType<typeof openHouse>
