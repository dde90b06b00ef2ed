/**
 * The least finish of some work for one pair of hands when each piece may be put down and taken up again: at any
 * time the one with the longest tail is worked on (Jackson's preemptive schedule; Carlier 1982, European Journal of
 * Operational Research 11:42). No schedule without interruptions finishes earlier.
 * @param tasks the pieces by their numbers
 * @param heads the earliest second at which each can start, by number
 * @param seconds how long each takes
 * @param tails seconds from the start of each to the end of all that must follow, its own included
 */
export function preemptiveBound(
  tasks: readonly number[],
  heads: Float64Array,
  seconds: Float64Array,
  tails: Float64Array,
): number {
  const byHead = [...tasks].sort((a, b) => heads[a]! - heads[b]!)
  const left = new Float64Array(byHead.length)
  const after = new Float64Array(byHead.length)
  byHead.forEach((n, i) => {
    left[i] = seconds[n]!
    after[i] = tails[n]! - seconds[n]!
  })
  let next = 0
  let open = 0
  let now = 0
  let bound = 0
  while (next < byHead.length || open > 0) {
    if (open === 0) now = Math.max(now, heads[byHead[next]!]!)
    while (next < byHead.length && heads[byHead[next]!]! <= now) {
      next++
      open++
    }
    // The one with the longest tail among those that have begun to be possible.
    let best = -1
    for (let i = 0; i < next; i++) if (left[i]! > 0 && (best < 0 || after[i]! > after[best]!)) best = i
    if (best < 0) {
      open = 0
      continue
    }
    const until = next < byHead.length ? heads[byHead[next]!]! : Infinity
    const worked = Math.min(left[best]!, until - now)
    now += worked
    left[best]! -= worked
    if (left[best]! <= 1e-9) {
      left[best] = 0
      open--
      bound = Math.max(bound, now + after[best]!)
    }
  }
  return bound
}
