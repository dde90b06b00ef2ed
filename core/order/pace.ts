/** How long a kind of task took once: what it takes by the starting values, and what it took, s. */
export interface TaskTime {
  readonly task: string
  readonly usual: number
  readonly seconds: number
}

/** How fast a painter does a kind of task, against the starting values. */
export interface Pace {
  readonly task: string
  /** Times as long as by the starting values, drawn toward 1 while there are few. */
  readonly factor: number
  readonly count: number
  /** Standard deviation of the logarithms: exp of it is a factor; 0 for a single time. */
  readonly spread: number
}

/** As many times as the starting value counts beside what was logged. */
const STARTING_COUNTS = 4
/** A time that is farther from the usual than so many times is none: somebody was talking, or only pressed on. */
const FARTHEST = 5

/**
 * The painter's own pace for each kind of task: the mean of log(took / usual), with the starting value counting as
 * a few times more (shrinkage toward it as in a normal model with a known prior weight: Efron and Morris 1975,
 * Journal of the American Statistical Association 70:311).
 */
export function pacesOf(times: readonly TaskTime[]): Pace[] {
  const logs = new Map<string, number[]>()
  for (const { task, usual, seconds } of times) {
    const ratio = seconds / usual
    if (!(usual > 0 && ratio >= 1 / FARTHEST && ratio <= FARTHEST)) continue
    const known = logs.get(task) ?? []
    logs.set(task, known)
    known.push(Math.log(ratio))
  }
  return [...logs].map(([task, known]) => {
    const count = known.length
    const sum = known.reduce((s, v) => s + v, 0)
    const mean = sum / count
    const squares = known.reduce((s, v) => s + (v - mean) ** 2, 0)
    return {
      task,
      factor: Math.exp(sum / (count + STARTING_COUNTS)),
      count,
      spread: count > 1 ? Math.sqrt(squares / (count - 1)) : 0,
    }
  })
}
