import { roomProblem, type Room } from '../../core/order'
import { triedCakesSchema, type TriedCake } from '../../core/cake'
import { runSchema } from '../../core/chair'
import type { Db } from './open'
import { jsonOr } from './ways'

const roomSchema = runSchema.shape.room.unwrap()

const DAY_MS = 24 * 3_600_000

/** What is set once for the house. */
export function settingsIn(db: Db) {
  const get = db.prepare<[string], string>('SELECT value FROM settings WHERE key = ?').pluck()
  const put = db.prepare<[string, string]>(
    'INSERT INTO settings (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value',
  )
  return {
    /** The room in which people are painted; null when nobody said. */
    room(): Room | null {
      const text = get.get('room')
      const parsed = roomSchema.safeParse(text === undefined ? null : jsonOr(text))
      return parsed.success && roomProblem(parsed.data) === null ? parsed.data : null
    },
    /** The strip cakes that are being tried side by side. */
    cakes(): TriedCake[] {
      const parsed = triedCakesSchema.safeParse(jsonOr(get.get('cakes') ?? '[]'))
      return parsed.success ? parsed.data : []
    },
    setCakes: (cakes: readonly TriedCake[]): void => void put.run('cakes', JSON.stringify(cakes)),
    /** Whether the backup of the day is to be made at a time, ms. */
    backupDue(now: number): boolean {
      const last = jsonOr(get.get('daily backup') ?? 'null')
      const passed = typeof last === 'string' ? Math.abs(now - Date.parse(last)) : NaN
      // A clock that once ran ahead must not stop backups until that day has come.
      return !(passed < DAY_MS)
    },
    setDailyBackup: (at: string): void => void put.run('daily backup', JSON.stringify(at)),
    setRoom: (room: Room): void => void put.run('room', JSON.stringify(room)),
  }
}
