import { createStore, del, get, set, update, type UseStore } from 'idb-keyval'
import type { Look } from '#core/look'
import { bareKey, type Bare, type BareSkinCache } from '#core/raster'
import type { Ground } from '#core/skin'
import { MOST_HEADS } from './mostHeads'

/** The version of what draws them: of another one nothing is used. */
declare const __RENDERER__: string

/** Larger ones, of a view far into the picture, are drawn anew. */
const MOST_PIXELS = 900_000

/** When each was used last, and what drew it: read often, so it is kept apart from the pixels. */
type Index = Readonly<Record<string, { readonly renderer: string; readonly usedAt: number }>>
const INDEX = 'index'

interface Entry {
  readonly renderer: string
  readonly head: Omit<Bare['head'], 'chart'>
  readonly grain: Float32Array
}

/**
 * Bare skins kept on this device between looks and visits. A browser without room, or without a store, only
 * costs the time of drawing them.
 */
export class KeptHeads {
  private store: UseStore | null = null
  /** Those that are kept already, as far as this worker knows. */
  private readonly known = new Set<string>()

  private open(): UseStore {
    return (this.store ??= createStore('janusform-heads', 'heads'))
  }

  /** Whether a bare skin is kept here, drawn as it would be now. */
  async holds(look: Look, pxPerMm: number): Promise<boolean> {
    const key = bareKey(look, pxPerMm)
    const index = await get<Index>(INDEX, this.open())
    return index?.[key]?.renderer === __RENDERER__
  }

  /** Brings a bare skin into the cache when it is kept here and not there. */
  async fetch(bares: BareSkinCache, look: Look, ground: Ground, pxPerMm: number): Promise<void> {
    const key = bareKey(look, pxPerMm)
    if (bares.has(key)) return
    try {
      const found = await get<Entry>(key, this.open())
      if (found?.renderer !== __RENDERER__) return
      bares.put(key, { head: { ...found.head, chart: ground.front }, grain: found.grain })
      this.known.add(key)
      void this.used(key).catch(() => {})
    } catch {
      // Drawn anew.
    }
  }

  /**
   * Keeps a bare skin that has just been drawn, and lets older ones go.
   * @param usedAt when it was used, ms; long ago for one that nobody has asked for yet
   */
  async keep(
    bares: BareSkinCache,
    look: Look,
    ground: Ground,
    pxPerMm: number,
    usedAt = Date.now(),
  ): Promise<void> {
    const key = bareKey(look, pxPerMm)
    if (this.known.has(key)) return
    this.known.add(key)
    const { head, grain } = bares.of(look, ground, pxPerMm)
    if (head.light.length > MOST_PIXELS) return
    const { grid, albedo, light, gloss, skin, hair, over } = head
    const entry: Entry = {
      renderer: __RENDERER__,
      head: { grid, albedo, light, gloss, skin, hair, over },
      grain,
    }
    try {
      await set(key, entry, this.open())
      await this.used(key, usedAt)
    } catch {
      // No room for it: nothing is lost.
    }
  }

  /** Notes that one was used, and lets the oldest, and those of another renderer, go. */
  private async used(key: string, usedAt = Date.now()): Promise<void> {
    let going: string[] = []
    await update<Index>(
      INDEX,
      (before = {}) => {
        const all = { ...before, [key]: { renderer: __RENDERER__, usedAt } }
        const kept = Object.entries(all)
          .filter(([, e]) => e.renderer === __RENDERER__)
          .sort(([, a], [, b]) => b.usedAt - a.usedAt)
          .slice(0, MOST_HEADS)
        const staying = new Set(kept.map(([k]) => k))
        going = Object.keys(all).filter(k => !staying.has(k))
        return Object.fromEntries(kept)
      },
      this.open(),
    )
    for (const old of going) {
      await del(old, this.open())
      this.known.delete(old)
    }
  }
}
