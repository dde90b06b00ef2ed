let spare: Worker | null = null
/** Whether somebody has taken a worker: the next ones are not in a hurry, and would only be in the way. */
let taken = false

/** A painting worker that nobody else has. */
export const makePainter = (): Worker =>
  new Worker(new URL('../workers/painter.ts', import.meta.url), { type: 'module' })

/** Begins to load a painting worker, so that it is there when the first picture is asked for. */
export function warmPainter(): void {
  if (!taken) spare ??= makePainter()
}

/** A painting worker: the one that was warmed, else a new one. */
export function takePainter(): Worker {
  const worker = spare ?? makePainter()
  spare = null
  taken = true
  return worker
}
