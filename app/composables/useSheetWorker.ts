import { proxy, wrap, type Remote } from 'comlink'
import { toRaw } from 'vue'
import type { Look } from '#core/look'
import type { Canvas } from '#core/skin'
import type { Analysis, Seat, SheetGeometry, Spot } from '#core/stencil'
import type { Sheets } from '~/workers/sheets'

let remote: Remote<Sheets> | null = null
const worker = (): Remote<Sheets> => remote ??= wrap<Sheets>(new Worker(new URL('../workers/sheets.ts', import.meta.url), { type: 'module' }))
/** What the worker was last told of the drawer. */
let known = ''

/** Reading, measuring, mending and fitting of sheets, off the page's thread. */
export function useSheetWorker() {
  const drawer = useDrawer()
  /** Tells the worker of every sheet of the drawer, when something of them has changed. */
  async function knowDrawer(): Promise<void> {
    await drawer.ensure(drawer.list.map(s => s.id))
    const key = JSON.stringify(drawer.list.map(s => [s.id, s.kind, s.zones, s.heading]))
    if (key === known) return
    known = key
    await worker().know(drawer.list.flatMap((about) => {
      const shape = drawer.shapes.get(about.id)
      return shape ? [{ ...toRaw(shape), kind: about.kind, zones: about.zones, heading: about.heading, axes: about.analysis?.axes ?? [], bridge: about.analysis?.bridge ?? null }] : []
    }))
  }
  return {
    read: (text: string, widthMm?: number) => worker().read(text, widthMm),
    analyse: (sheet: SheetGeometry, below: number, onProgress: (words: string, done: number) => void = () => {}): Promise<Analysis> => worker().analyse(sheet, below, proxy(onProgress)),
    joins: worker().joins,
    mend: worker().mend,
    knowDrawer,
    fits: (spot: Spot, onProgress: (done: number) => void): Promise<Seat[] | null> => worker().fits(spot, proxy(onProgress)),
    stop: () => worker().stop(),
    moved: (look: Look, canvas: Canvas, age: number) => worker().moved(look, canvas, age),
  }
}
