import { wrap, type Remote } from 'comlink'

/** A job that was given up before it gave anything. */
export class GivenUp extends Error {}

/** A worker whose jobs can be given up: it is ended then, and the next job gets a new one. */
export class StoppableWorker<T> {
  private worker: Worker | null = null
  private remote: Remote<T> | null = null
  private readonly waiting = new Set<(error: GivenUp) => void>()

  /** @param make begins a worker that exposes the jobs */
  constructor(private readonly make: () => Worker) {}

  get jobs(): Remote<T> {
    this.worker ??= this.make()
    return (this.remote ??= wrap<T>(this.worker))
  }

  /** What a job gives. Throws GivenUp when it is given up before. */
  async until<R>(job: Promise<R>): Promise<R> {
    let end: (error: GivenUp) => void = () => {}
    const given = new Promise<never>((_, reject) => {
      end = reject
    })
    this.waiting.add(end)
    try {
      return await Promise.race([job, given])
    } finally {
      this.waiting.delete(end)
    }
  }

  /** Gives up whatever runs. */
  giveUp(): void {
    this.worker?.terminate()
    this.worker = this.remote = null
    for (const end of this.waiting) end(new GivenUp())
    this.waiting.clear()
  }
}
