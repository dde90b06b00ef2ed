import { wrap, type Remote } from 'comlink'
import type { Look } from '#core/look'
import { unprepared, type PreparedSheet } from '#core/stencil'
import type { Painter, Picture } from '~/workers/painter'
import type { Update } from '~/workers/stagePicture'

let remote: Remote<Painter> | null = null
/** The sheets that the worker knows, as they were when it was told. */
const told = new Map<string, PreparedSheet>()
let kitTold = '',
  heard: Promise<void> = Promise.resolve()

function painter(): Remote<Painter> {
  return (remote ??= wrap<Painter>(
    new Worker(new URL('../workers/painter.ts', import.meta.url), { type: 'module' }),
  ))
}

/** Pictures of looks from the painting worker. It is told of each sheet, and of the kit, once. */
export function usePainter() {
  const drawer = useDrawer()
  const kit = useKit()
  /**
   * Tells the worker what is new; done once it has heard everything, whoever told it. Jobs wait for the same
   * word, so that they reach the worker in the order in which they were asked for: an older look never comes
   * after a newer one.
   */
  function tell(): Promise<void> {
    const fresh = [...drawer.shapes.values()].filter(s => told.get(s.id) !== s)
    const key = JSON.stringify([kit.paints, kit.readings])
    if (fresh.length || key !== kitTold) {
      fresh.forEach(s => told.set(s.id, s))
      kitTold = key
      const list = fresh.map(s => plain(unprepared(s)))
      const before = heard
      heard = before.then(() => painter().know(list, plain(kit.paints), plain(kit.readings)))
    }
    return heard
  }
  /** Runs a job of the worker once it knows what the page knows. */
  const after = async <T>(job: () => Promise<T>): Promise<T> => {
    await tell()
    return job()
  }
  return {
    update: (
      look: Look,
      pxPerMm: number,
      upTo: number | undefined,
      have: number | null,
    ): Promise<Update | null> => after(() => painter().update(plain(look), pxPerMm, upTo, have)),
    paint: (look: Look, pxPerMm: number, upTo?: number): Promise<Picture> =>
      after(() => painter().paint(plain(look), pxPerMm, upTo)),
    wrapped: (look: Look, pxPerMm: number, upTo?: number): Promise<Picture> =>
      after(() => painter().wrapped(plain(look), pxPerMm, upTo)),
    thumbs: (look: Look, pxPerMm: number): Promise<Picture[]> =>
      after(() => painter().thumbs(plain(look), pxPerMm)),
    findings: (look: Look, today: string) => after(() => painter().findings(plain(look), today)),
    composition: (look: Look) => after(() => painter().composition(plain(look))),
    onSkins: (look: Look, colours: string[], pxPerMm: number) =>
      after(() => painter().onSkins(plain(look), plain(colours), pxPerMm)),
  }
}

/**
 * Runs an asynchronous job for the newest input only: while one runs, later calls replace each other, and
 * only the last of them runs next.
 */
export function newestOnly<A extends unknown[]>(job: (...args: A) => Promise<void>): (...args: A) => void {
  let running = false,
    next: A | null = null
  const run = async (args: A): Promise<void> => {
    running = true
    try {
      await job(...args)
    } finally {
      running = false
      if (next) {
        const again = next
        next = null
        void run(again)
      }
    }
  }
  return (...args) => {
    if (running) next = args
    else void run(args)
  }
}

/** A picture drawn on a canvas of its size. */
export function canvasOf({ rgba, width, height }: Picture): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  canvas.getContext('2d')!.putImageData(new ImageData(rgba, width, height), 0, 0)
  return canvas
}
