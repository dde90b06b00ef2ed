import { wrap, type Remote } from 'comlink'

/** A job that was given up before it gave anything. */
export class GivenUp extends Error {}

/** A job that ran longer than any is allowed to. */
export class TookTooLong extends Error {
  constructor() {
    super('This took too long and was stopped. Make it simpler, or choose something smaller, and try again.')
  }
}

/** A worker whose jobs can be given up: it is ended then, and the next job gets a new one. */
export class StoppableWorker<T> {
  private worker: Worker | null = null
  private remote: Remote<T> | null = null
  /** How the jobs that wait are ended, the oldest first: the worker does one after the other. */
  private readonly waiting = new Set<(error: Error) => void>()
  private late: ReturnType<typeof setTimeout> | undefined

  /**
   * @param make begins a worker that exposes the jobs
   * @param deadlineMs how long a job may run, from the end of the one before, until the worker is ended
   * @param onEnd is told whenever the worker was ended: it knows nothing any more
   */
  constructor(
    private readonly make: () => Worker,
    private readonly deadlineMs: number,
    private readonly onEnd: () => void = () => {},
  ) {}

  get jobs(): Remote<T> {
    this.worker ??= this.make()
    return (this.remote ??= wrap<T>(this.worker))
  }

  /** Gives the job that runs its time; none when none runs. */
  private watch(): void {
    clearTimeout(this.late)
    const [oldest] = this.waiting
    if (!oldest) return
    this.late = setTimeout(() => {
      oldest(new TookTooLong())
      this.giveUp()
    }, this.deadlineMs)
  }

  /** What a job gives. Throws GivenUp when it is given up before, TookTooLong when it is over its time. */
  async until<R>(job: Promise<R>): Promise<R> {
    let end: (error: Error) => void = () => {}
    const given = new Promise<never>((_, reject) => {
      end = reject
    })
    this.waiting.add(end)
    if (this.waiting.size === 1) this.watch()
    try {
      return await Promise.race([job, given])
    } finally {
      this.waiting.delete(end)
      this.watch()
    }
  }

  /** Gives up whatever runs. */
  giveUp(): void {
    this.worker?.terminate()
    this.worker = this.remote = null
    for (const end of this.waiting) end(new GivenUp())
    this.waiting.clear()
    this.onEnd()
  }
}
