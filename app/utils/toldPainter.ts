import type { Remote } from 'comlink'
import type { Paint, Readings } from '#core/paint'
import { unprepared, type PreparedSheet } from '#core/stencil'
import type { Painter } from '~/workers/painter'
import { StoppableWorker } from './stoppable'

/** What a painting worker must know: the shapes of sheets, and the kit. */
export interface ToPaintWith {
  readonly shapes: Iterable<PreparedSheet>
  readonly paints: readonly Paint[]
  readonly readings: Readings
}

/** Painting all tries of a look takes half a minute on a slow machine; nothing takes so long, ms. */
const DEADLINE_MS = 300_000

/**
 * A painting worker that is told of each sheet, and of the kit, once. Jobs reach it in the order in which they
 * were asked for: an older look never comes after a newer one.
 */
export class ToldPainter {
  private readonly worker = new StoppableWorker<Painter>(takePainter, DEADLINE_MS, () => this.forget())
  /** The sheets that the worker knows, as they were when it was told. */
  private told = new Map<string, PreparedSheet>()
  private kitTold = ''
  private heard: Promise<void> = Promise.resolve()

  /**
   * Tells the worker what is new; done once it has heard everything, whoever told it. Messages reach it in
   * the order in which they were sent: a job may be sent right after, without waiting for that.
   */
  private tell({ shapes, paints, readings }: ToPaintWith): Promise<void> {
    const fresh = [...shapes].filter(s => this.told.get(s.id) !== s)
    const key = JSON.stringify([paints, readings])
    if (fresh.length || key !== this.kitTold) {
      fresh.forEach(s => this.told.set(s.id, s))
      this.kitTold = key
      const list = fresh.map(s => plain(unprepared(s)))
      const told = this.worker.jobs.know(list, plain([...paints]), plain(readings))
      this.heard = Promise.all([this.heard, told]).then(() => {})
    }
    return this.heard
  }

  /** Runs a job that knows what the page knows. Throws GivenUp when it was given up. */
  run<T>(known: ToPaintWith, job: (painter: Remote<Painter>) => Promise<T>): Promise<T> {
    const heard = this.tell(known)
    return this.worker.until(Promise.all([job(this.worker.jobs), heard]).then(([answer]) => answer))
  }

  /** Gives up whatever runs; the next job gets a new worker. */
  giveUp(): void {
    this.worker.giveUp()
  }

  private forget(): void {
    this.told = new Map()
    this.kitTold = ''
    this.heard = Promise.resolve()
  }
}
