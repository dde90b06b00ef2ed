import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { House } from '../db/house'
import type { LookListed } from '../db/looks'
import type { Pool } from './pool'
import type { LookSent } from './worldSent'

const digest = (value: unknown): string => createHash('sha1').update(JSON.stringify(value)).digest('hex')

/**
 * The version of the renderer: another one whenever the worker's code is.
 * @param file the worker's bundle
 */
export const rendererVersion = (file: string): string =>
  createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 12)

/**
 * Names what the picture of a look depends on: its document, its sheets with their groups, its paints, the
 * readings of tools, and the version of the renderer. Reads what all looks share once.
 */
export function pictureKeys(
  { stencils, paints, readings }: House,
  renderer: string,
): (look: Pick<LookListed, 'drawn' | 'sheets' | 'paints'>) => string {
  // Groups of a sheet may be long, and many looks use the same sheets and paints.
  const sheets = new Map([...stencils.stamps()].map(([id, stamp]) => [id, digest(stamp)]))
  const kit = new Map(paints.all().map(p => [p.id, digest(p)]))
  const tools = digest(readings.all())
  return ({ drawn, sheets: ids, paints: names }) =>
    digest([renderer, drawn, tools, ids.map(id => sheets.get(id)), names.map(id => kit.get(id))])
}

/** A look's document with all that it is read against. */
export function lookSent(
  { stencils, paints, readings }: House,
  doc: string,
  sheets: readonly string[],
): LookSent {
  return {
    doc,
    sheets: sheets.flatMap(id => {
      const about = stencils.find(id)
      const geometry = stencils.geometry(id)
      return about && geometry ? { about, geometry } : []
    }),
    paints: paints.all(),
    readings: readings.all(),
  }
}

/** How often a picture is tried that cannot be painted: it may only have waited too long. */
const TRIES = 3
/** A look is left in peace for so long after a save before its picture is painted, ms: hands are at work. */
const REST_MS = 3000

/**
 * Paints the gallery's pictures ahead, one at a time and the newest look first, and keeps them. A picture that
 * was painted from something older is painted anew; until then the older one is shown.
 */
export class PaintAhead {
  /** Pictures that could not be painted, with how often they were tried, so that none is tried for ever. */
  private readonly failed = new Map<string, { key: string; times: number }>()
  private running: Promise<void> | null = null
  /** The state of the data of which every picture is painted; null while some may not be. */
  private settled: string | null = null
  private again = false
  private timer: ReturnType<typeof setTimeout> | undefined

  constructor(
    private readonly house: House,
    private readonly pool: Pool,
    private readonly renderer: string,
  ) {}

  /** Changes whenever what is told of pictures that are to come does, other than by the data. */
  get failures(): string {
    return [...this.failed].map(([id, { key, times }]) => `${id} ${key} ${times}`).join()
  }

  /** Each look of the list with the key that its picture should have. */
  keyed(): { look: LookListed; key: string }[] {
    const keyOf = pictureKeys(this.house, this.renderer)
    return this.house.looks.list().map(look => ({ look, key: keyOf(look) }))
  }

  /** Some looks, each with the key that its picture should have. */
  keyedOf(ids: readonly string[]): { look: LookListed; key: string }[] {
    const keyOf = pictureKeys(this.house, this.renderer)
    return ids.flatMap(id => {
      const look = this.house.looks.listed(id)
      return look ? { look, key: keyOf(look) } : []
    })
  }

  /** The key that a look's picture should have. */
  keyOf(look: Parameters<ReturnType<typeof pictureKeys>>[0]): string {
    return pictureKeys(this.house, this.renderer)(look)
  }

  /** Whether a look's picture is still to come. */
  awaits(look: LookListed, key: string): boolean {
    const failed = this.failed.get(look.id)
    const tried = failed?.key === key ? failed.times : 0
    return look.drawn !== '' && look.pictureKey !== key && tried < TRIES
  }

  /** Paints what is missing, after a rest; a later call begins the rest anew. */
  soon(): void {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => this.begin(), REST_MS)
    // Nothing waits for it when the server stops.
    this.timer.unref()
  }

  /** Begins nothing more of itself. */
  stop(): void {
    clearTimeout(this.timer)
    this.again = false
  }

  /** Begins to paint what is missing; trouble with the data is told to whoever asks for them next. */
  begin(): void {
    // A timer may come after the data file was let go of.
    if (!this.house.db.open) return
    // Nothing has changed since everything was painted: no look need be asked.
    if (this.settled !== null && this.settled === this.house.state()) return
    this.now().catch(() => {})
  }

  /**
   * Paints what is missing, at once; done when nothing is missing any more.
   * @param onPainted is told after each picture how many were painted and how many there are to paint
   */
  now(onPainted: (done: number, of: number) => void = () => {}): Promise<void> {
    clearTimeout(this.timer)
    this.again = true
    this.running ??= this.all(onPainted).finally(() => {
      this.running = null
    })
    return this.running
  }

  private async all(onPainted: (done: number, of: number) => void): Promise<void> {
    let done = 0
    while (this.again) {
      this.again = false
      const missing = this.keyed().filter(({ look, key }) => this.awaits(look, key))
      const of = done + missing.length
      for (const { look } of missing) {
        await this.one(look)
        onPainted(++done, of)
        // Something was saved or changed meanwhile: the newest look comes first again.
        if (this.again) break
      }
    }
    this.settled = this.house.state()
  }

  private async one({ id }: LookListed): Promise<void> {
    // The key is of the very data that are sent: what changed since the list was read, and may change back,
    // must never be kept under the key of before.
    const look = this.house.looks.listed(id)
    const doc = this.house.looks.doc(id)
    if (!look || doc === null) return
    const key = this.keyOf(look)
    const sent = lookSent(this.house, doc, look.sheets)
    try {
      const { png, seconds } = await this.pool.run('card', sent)
      // Of a look that was saved meanwhile this is the picture before, which is better than none.
      this.house.pictures.put(id, { key, png, seconds })
    } catch {
      const before = this.failed.get(id)
      this.failed.set(id, { key, times: before?.key === key ? before.times + 1 : 1 })
      this.again = true
    }
  }
}
