/** What a row may come to at most: ms (or the row's own unit), and how many times what it is held against. */
export interface Limit {
  readonly most?: number
  readonly ratio?: number
}
/** What a row is held against in the same run. */
export interface Against {
  readonly words: string
  readonly value: number
}

/** Rows of measurements; each says whether it keeps its limits. */
export class Table {
  private readonly failed: string[] = []

  /**
   * Adds and prints a row.
   * @param unit of the value and of its limit
   */
  row(name: string, value: number, limit: Limit = {}, against?: Against, unit = 'ms'): void {
    const ratio = against ? value / against.value : 0
    const over =
      (limit.most !== undefined && value > limit.most) || (limit.ratio !== undefined && ratio > limit.ratio)
    if (over) this.failed.push(name)
    const limits = [
      limit.most === undefined ? '' : `at most ${limit.most} ${unit}`,
      limit.ratio === undefined ? '' : `at most ${limit.ratio} x`,
    ].filter(Boolean)
    const said = limits.length ? `${over ? 'OVER' : 'ok'}: ${limits.join(', ')}` : ''
    const held = against ? `${ratio.toFixed(2)} x ${against.words} (${against.value.toFixed(1)} ${unit})` : ''
    console.log(
      `${name.padEnd(50)} ${value.toFixed(1).padStart(8)} ${unit.padEnd(3)} ${held.padEnd(62)} ${said}`,
    )
  }

  /** Says how many rows were over their limits; with `check` the run fails when there were any. */
  finish(check: boolean): void {
    console.log(
      this.failed.length
        ? `\n${this.failed.length} over the limit: ${this.failed.join('; ')}`
        : '\nevery limit holds',
    )
    if (check && this.failed.length) process.exitCode = 1
  }
}

/** How long a job takes, ms. */
export function timed(job: () => void): number {
  const t = performance.now()
  job()
  return performance.now() - t
}

/** The median of what some runs give, after a first one. */
export function medianOf(runs: number, run: () => number): number {
  run()
  return Array.from({ length: runs }, run).sort((a, b) => a - b)[runs >> 1]!
}

/** Median time of a job over some runs after a first one, ms. */
export const median = (job: () => void, runs = 5): number => medianOf(runs, () => timed(job))

/**
 * Times of two jobs that take turns, some runs of each at a time, ms: what else the machine does meanwhile falls
 * on both. Of each the lower quartile, as what comes between only ever adds.
 * @param rounds how often they take turns
 * @param runs of each of them in its turn
 */
export function byTurns(
  rounds: number,
  runs: readonly [number, number],
  jobs: readonly [() => void, () => void],
): [number, number] {
  const took: [number[], number[]] = [[], []]
  for (let round = 0; round < rounds; round++) {
    jobs.forEach((job, which) => {
      job()
      for (let n = 0; n < runs[which]!; n++) took[which]!.push(timed(job))
    })
  }
  const quartile = (all: number[]): number => all.sort((a, b) => a - b)[all.length >> 2]!
  return [quartile(took[0]), quartile(took[1])]
}
