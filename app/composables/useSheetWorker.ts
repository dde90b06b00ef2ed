import { proxy, wrap, type Remote } from 'comlink'
import type { Analysis, Seat, SheetGeometry, Spot } from '#core/stencil'
import type { Sheets } from '~/workers/sheets'

let remote: Remote<Sheets> | null = null
const worker = (): Remote<Sheets> => remote ??= wrap<Sheets>(new Worker(new URL('../workers/sheets.ts', import.meta.url), { type: 'module' }))

/** Reading, measuring, mending and fitting of sheets, off the page's thread. */
export function useSheetWorker() {
  return {
    read: (text: string, widthMm?: number) => worker().read(text, widthMm),
    analyse: (sheet: SheetGeometry, below: number, onProgress: (words: string, done: number) => void = () => {}): Promise<Analysis> => worker().analyse(sheet, below, proxy(onProgress)),
    joins: worker().joins,
    mend: worker().mend,
    know: worker().know,
    fits: (spot: Spot, onProgress: (done: number) => void): Promise<Seat[] | null> => worker().fits(spot, proxy(onProgress)),
    stop: () => worker().stop(),
  }
}
