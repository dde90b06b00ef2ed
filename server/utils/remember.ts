import { createHash } from 'node:crypto'

const kept = new Map<string, unknown>()
/** As many answers are kept; a picture has about 100 kB. */
const MOST = 300

/** What is kept by a key; undefined when nothing is. */
export const recalled = <T>(key: string): T | undefined => kept.get(key) as T | undefined

/** What `make` gives, kept by a key that changes whenever the answer would. */
export function remembered<T>(key: string, make: () => T): T {
  if (kept.has(key)) return kept.get(key) as T
  const made = make()
  kept.set(key, made)
  if (kept.size > MOST) kept.delete(kept.keys().next().value!)
  return made
}

/**
 * A short name for everything beside a look that pictures and times depend on: the kit, and what is noted of
 * sheets.
 */
export function kitStamp(): string {
  const { paints, readings, stencils } = useRepositories()
  const noted = stencils.all().map(({ id, groups, copies, heading }) => [id, groups, copies, heading])
  return createHash('sha1')
    .update(JSON.stringify([paints.all(), readings.all(), noted]))
    .digest('hex')
    .slice(0, 12)
}
