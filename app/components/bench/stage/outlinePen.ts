import type { ToOutlines } from '~/workers/outlines'
import { drawOutlines, type Outlines } from './outlines'

/** Draws on one canvas, until it is put away. */
export interface OutlinePen {
  readonly draw: (outlines: Outlines) => void
  readonly end: () => void
}

/**
 * What draws the selected sheets on a canvas. A worker does, where the browser knows how: drawing them takes the page
 * as long as all else of a frame in which they move.
 */
export function outlinePen(canvas: HTMLCanvasElement): OutlinePen {
  if (!('transferControlToOffscreen' in canvas)) {
    const on = (canvas as HTMLCanvasElement).getContext('2d')
    return { draw: outlines => on && drawOutlines(on, outlines), end: () => {} }
  }
  const worker = new Worker(new URL('../../../workers/outlines.ts', import.meta.url), { type: 'module' })
  const tell = (message: ToOutlines, handedOver: Transferable[] = []) =>
    worker.postMessage(message, handedOver)
  const away = canvas.transferControlToOffscreen()
  tell({ canvas: away }, [away])
  return { draw: outlines => tell({ outlines }), end: () => worker.terminate() }
}
