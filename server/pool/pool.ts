import { availableParallelism } from 'node:os'
import Piscina from 'piscina'
import type { Jobs } from './jobs'

/** Memory of one worker thread, MB: what JavaScript holds, without the pixels of pictures. */
const MOST_MB = 768

/** A thread without work is kept so long, ms: what it has prepared serves the next job. */
const IDLE_MS = 120_000

/** How long a job may take before it is given up, ms. */
const DEADLINE_MS: Readonly<Record<keyof Jobs, number>> = {
  picture: 60_000,
  habits: 5_000,
  card: 60_000,
  lookSvg: 30_000,
  readLook: 5_000,
  readSent: 10_000,
  readSheet: 10_000,
  readRuns: 10_000,
  measureSheet: 20_000,
  drawSheet: 20_000,
  cut: 20_000,
  ladder: 20_000,
  writeBackup: 180_000,
  readBackup: 180_000,
  findDamage: 180_000,
  demoThings: 120_000,
}
/** Jobs that may take seconds; the others never wait behind one of these. */
const LONG: ReadonlySet<keyof Jobs> = new Set([
  'picture',
  'card',
  'lookSvg',
  'writeBackup',
  'readBackup',
  'findDamage',
  'demoThings',
])

/** Why a job gave nothing: it was asked for no more, took too long or needed too much memory. */
export class JobEnded extends Error {
  constructor(readonly reason: 'given up' | 'too long' | 'too much memory') {
    super(`The job ended: ${reason}.`)
  }
}

type Given<J extends keyof Jobs> = Awaited<ReturnType<Jobs[J]>>

/**
 * Worker threads for all heavy work: those that paint, one fewer than there are cores, and one beside them
 * for short work. Every job has a deadline and a limit of memory, and ends when nobody asks for it any more;
 * the thread that it held is then replaced.
 */
export class Pool {
  private readonly painting: Piscina
  private readonly short: Piscina

  /**
   * @param filename the worker's module, a file URL
   * @param execArgv arguments of Node for the threads, such as a loader of TypeScript
   */
  constructor(filename: string, execArgv: string[] = []) {
    const threads = (maxThreads: number) =>
      new Piscina({
        filename,
        execArgv,
        // Begun when there is work: a page that is opening needs the machine more.
        minThreads: 0,
        idleTimeout: IDLE_MS,
        maxThreads,
        resourceLimits: { maxOldGenerationSizeMb: MOST_MB },
      })
    this.painting = threads(Math.max(1, availableParallelism() - 1))
    this.short = threads(1)
  }

  /**
   * Runs a job on a worker thread.
   * @param asked ends the job when nobody waits for its answer any more
   * @throws JobEnded when it gave nothing; RangeError with a sentence when it cannot be done
   */
  async run<J extends keyof Jobs>(
    name: J,
    what: Parameters<Jobs[J]>[0],
    asked?: AbortSignal,
  ): Promise<Given<J>> {
    if (asked?.aborted) throw new JobEnded('given up')
    const ending = new AbortController()
    const end = () => ending.abort()
    const late = setTimeout(end, DEADLINE_MS[name])
    asked?.addEventListener('abort', end)
    const threads = LONG.has(name) ? this.painting : this.short
    try {
      return (await threads.run(what, { name, signal: ending.signal })) as Given<J>
    } catch (error) {
      if (asked?.aborted) throw new JobEnded('given up')
      if (ending.signal.aborted) throw new JobEnded('too long')
      if ((error as NodeJS.ErrnoException).code === 'ERR_WORKER_OUT_OF_MEMORY')
        throw new JobEnded('too much memory')
      throw error
    } finally {
      clearTimeout(late)
      asked?.removeEventListener('abort', end)
    }
  }

  async close(): Promise<void> {
    await Promise.all([this.painting.destroy(), this.short.destroy()])
  }
}
