import { drawOutlines, type Outlines } from '~/components/bench/stage/outlines'

/** What the page sends: once the canvas, then what is to be seen on it. */
export type ToOutlines = { readonly canvas: OffscreenCanvas } | { readonly outlines: Outlines }

let on: OffscreenCanvasRenderingContext2D | null = null

globalThis.onmessage = ({ data }: MessageEvent<ToOutlines>) => {
  if ('canvas' in data) on = data.canvas.getContext('2d')
  else if (on) drawOutlines(on, data.outlines)
}
