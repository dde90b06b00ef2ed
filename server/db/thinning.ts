/** A version of a look as the thinning sees it. */
export interface VersionKept {
  readonly version: number
  /** ISO 8601. */
  readonly savedAt: string
  readonly label: string | null
}

const HOUR = 3_600_000
const DAY = 24 * HOUR
const WEEK = 7 * DAY

/** The stretch of time of which one version is kept, ms; 0 where all are. */
const stretch = (age: number): number => (age < HOUR ? 0 : age < DAY ? HOUR : age < 30 * DAY ? DAY : WEEK)

/**
 * The versions of a look that may go: of the last hour all stay, of the last day one an hour, of the last
 * thirty days one a day, and of older ones one a week, each the newest of its time. What has a name stays, and
 * so does the newest.
 */
export function thinnedOut(list: readonly VersionKept[], now: number): number[] {
  const newest = [...list].sort((a, b) => b.version - a.version)
  const seen = new Set<string>()
  return newest.flatMap(({ version, savedAt, label }, n) => {
    const at = Date.parse(savedAt)
    const long = stretch(now - at)
    if (label !== null || long === 0 || Number.isNaN(at)) return []
    const slot = `${long} ${Math.floor(at / long)}`
    const going = n > 0 && seen.has(slot)
    seen.add(slot)
    return going ? version : []
  })
}
