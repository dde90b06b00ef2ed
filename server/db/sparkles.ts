import { NO_SPARKLES, sparklesSchema, type Sparkles } from '../../core/look'
import type { Db } from './open'
import { jsonOr } from './ways'

const KINDS = ['glitters', 'gems'] as const

/** Glitters and gems of the painter's own. */
export function sparklesIn(db: Db) {
  const all = db.prepare<[], { kind: (typeof KINDS)[number]; value: string }>(
    'SELECT kind, value FROM sparkles ORDER BY place',
  )
  const clear = db.prepare('DELETE FROM sparkles')
  const add = db.prepare<[string, number, string]>(
    'INSERT INTO sparkles (kind, place, value) VALUES (?, ?, ?)',
  )
  const put = db.transaction((sparkles: Sparkles) => {
    clear.run()
    for (const kind of KINDS)
      sparkles[kind].forEach((value, place) => void add.run(kind, place, JSON.stringify(value)))
  })
  return {
    /** All of them; one that nobody can read any more is passed over. */
    all(): Sparkles {
      const found: Sparkles = { glitters: [], gems: [] }
      for (const { kind, value } of all.all()) {
        const one = sparklesSchema.safeParse({ ...NO_SPARKLES, [kind]: [jsonOr(value)] })
        if (!one.success) continue
        found.glitters.push(...one.data.glitters)
        found.gems.push(...one.data.gems)
      }
      return found
    },
    put: (sparkles: Sparkles): void => void put(sparkles),
  }
}
