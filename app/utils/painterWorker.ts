let spare: Worker | null = null

/** A painting worker that nobody else has. */
export const makePainter = (): Worker =>
  new Worker(new URL('../workers/painter.ts', import.meta.url), { type: 'module' })

/** Begins to load a painting worker, so that it is there when the first picture is asked for. */
export function warmPainter(): void {
  spare ??= makePainter()
}

/** A painting worker: the one that was warmed, else a new one. */
export function takePainter(): Worker {
  const worker = spare ?? makePainter()
  spare = null
  return worker
}
