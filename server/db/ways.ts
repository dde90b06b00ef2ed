import { waysSchema, type ChosenWays } from '../../core/look'
import type { Db } from './open'

/** How the painter works, where painters disagree: only what was chosen. */
export function waysIn(db: Db) {
  const all = db.prepare<[], { key: string; value: string }>('SELECT key, value FROM ways')
  const clear = db.prepare('DELETE FROM ways')
  const add = db.prepare<[string, string]>('INSERT INTO ways (key, value) VALUES (?, ?)')
  const put = db.transaction((ways: ChosenWays) => {
    clear.run()
    for (const [key, value] of Object.entries(ways))
      if (value !== undefined) add.run(key, JSON.stringify(value))
  })
  return {
    /** What was chosen; an answer that nobody understands any more counts as none. */
    all(): ChosenWays {
      const found: Record<string, unknown> = {}
      for (const { key, value } of all.all()) {
        const one = waysSchema.safeParse({ [key]: jsonOr(value) })
        if (one.success) Object.assign(found, one.data)
      }
      return found
    },
    put: (ways: ChosenWays): void => void put(ways),
  }
}

/** The texts of a list in JSON; null where it is no such list. */
export function textsIn(text: string): string[] | null {
  const list = jsonOr(text)
  return Array.isArray(list) && list.every(v => typeof v === 'string') ? list : null
}

/** What JSON says; undefined where it is none. */
export function jsonOr(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
