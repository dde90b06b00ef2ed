/** What hands do one after the other for a step. */
type Doing =
  | 'ask for shut eyes'
  | 'load'
  | 'mark'
  | 'place'
  | 'dab'
  | 'stroke'
  | 'blend'
  | 'glitter'
  | 'glue'
  | 'lift'
  | 'wipe'
  | 'shut eyes'

/** One thing that hands do. */
export interface HandTask {
  readonly what: Doing
  readonly seconds: number
}

/** A thing that hands do for some seconds. */
export const task = (what: Doing, seconds: number): HandTask => ({ what, seconds })

/** Seconds and loads of what is done one after the other; what takes no time is left out. */
export function effortFrom(
  tasks: readonly HandTask[],
  loads: number,
): { seconds: number; loads: number; tasks: HandTask[] } {
  return {
    seconds: tasks.reduce((sum, t) => sum + t.seconds, 0),
    loads,
    tasks: tasks.filter(t => t.seconds > 0),
  }
}

/** What is done before anything touches the skin, while something may still dry. */
const AHEAD: readonly Doing[] = ['ask for shut eyes', 'load']

/** Seconds before anything touches the skin: a tool is loaded while the place still dries. */
export function leadOf(tasks: readonly HandTask[]): number {
  const first = tasks.findIndex(t => !AHEAD.includes(t.what))
  return tasks.slice(0, first < 0 ? tasks.length : first).reduce((sum, t) => sum + t.seconds, 0)
}

/** Seconds of each kind of task, in the order in which they first come. */
export function summed(tasks: readonly HandTask[]): HandTask[] {
  const sums = new Map<Doing, number>()
  for (const { what, seconds } of tasks) sums.set(what, (sums.get(what) ?? 0) + seconds)
  return [...sums].map(([what, seconds]) => ({ what, seconds }))
}
