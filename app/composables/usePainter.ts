import { proxy, type Remote } from 'comlink'
import type { Habits } from '#core/checks'
import type { Box } from '#core/geometry'
import type { LightId } from '#core/paint'
import type { Fit } from '#core/stencil'
import type { Look, OrderConflict, Pass, Shows, Ways } from '#core/look'
import type { NineTold, NineWish, OneOfNine } from '~/workers/nine'
import type { MovedLook } from '~/workers/moving'
import type { Painter } from '~/workers/painter'
import type { Picture, Wrapped } from '~/workers/picture'
import type { ToTellBy, TryFacts } from '~/workers/tries'
import type { Planned } from '~/workers/planned'
import type { Thumbs } from '~/workers/thumbStrip'
import type { Update } from '~/workers/stagePicture'
import { ToldPainter } from '~/utils/toldPainter'

/** The picture of the stage has a worker of its own; what is found out of the look never holds it up. */
const stage = new ToldPainter()
const analysis = new ToldPainter()
/** What is asked for by a press and may take seconds; it can be stopped. */
const asked = new ToldPainter()

/** Pictures of looks, and what is found out of them, from the painting workers. */
export function usePainter() {
  const drawer = useDrawer()
  const kit = useKit()
  const on =
    (worker: ToldPainter): OnWorker =>
    job =>
      worker.run({ shapes: drawer.shapes.values(), paints: kit.paints, readings: kit.readings }, job)
  const onStage = on(stage)
  const onAnalysis = on(analysis)
  const onAsked = on(asked)
  return {
    ...stageOn(onStage),
    ...middleOn(onAnalysis),
    paint: (look: Look, pxPerMm: number, upTo?: number): Promise<Picture> =>
      onAnalysis(p => p.paint(plain(look), pxPerMm, upTo)),
    thumbs: (look: Look, pxPerMm: number, have: number | null): Promise<Thumbs | null> =>
      onAnalysis(p => p.thumbs(plain(look), pxPerMm, have)),
    findings: (look: Look, today: string, shows: readonly Shows[], ways: Ways) =>
      onAnalysis(p => p.findings(plain(look), today, plain([...shows]), plain(ways))),
    composition: (look: Look) => onAnalysis(p => p.composition(plain(look))),
    inWords: (look: Look) => onAsked(p => p.inWords(plain(look))),
    wrapped: (look: Look, pxPerMm: number, upTo?: number): Promise<Wrapped> =>
      onAsked(p => p.wrapped(plain(look), pxPerMm, upTo)),
    onSkins: (look: Look, colours: string[], pxPerMm: number, onProgress: (done: number) => void) =>
      meanwhile(onProgress, told => onAsked(p => p.onSkins(plain(look), plain(colours), pxPerMm, told))),
    moved: (look: Look, pxPerMm: number, onMoved: (one: MovedLook) => void): Promise<void> =>
      onAsked(p => p.moved(plain(look), pxPerMm, proxy(onMoved))),
    compare: (look: Look, stepId: string, index: number, passes: readonly Pass[], pxPerMm: number) =>
      onAsked(p => p.compare(plain(look), stepId, index, plain([...passes]), pxPerMm)),
    sideBySide: (
      looks: readonly Look[],
      pxPerMm: number,
      told: ToTellBy,
      onPainted: (index: number, picture: Picture, facts: TryFacts) => void,
    ) => onAsked(p => p.sideBySide(plain([...looks]), pxPerMm, plain(told), proxy(onPainted))),
    differences: (a: Look, b: Look) => onAnalysis(p => p.differences(plain(a), plain(b))),
    changes: (before: Look, after: Look) => onAnalysis(p => p.changes(plain(before), plain(after))),
    differing: (a: Look, b: Look, pxPerMm: number) => onAsked(p => p.differing(plain(a), plain(b), pxPerMm)),
    samples: (looks: readonly Look[], seen: Box, pxPerMm: number): Promise<Picture[]> =>
      onAnalysis(p => p.samples(plain([...looks]), plain(seen), pxPerMm)),
    nine: nineOn(onStage),
    noNine: (): Promise<void> => onStage(p => p.noNine()),
    plan: (look: Look): Promise<Planned | OrderConflict> => onAsked(async p => p.plan(plain(look))),
    shortened: (look: Look, budgets: readonly number[], points: number, behind: readonly string[] = []) =>
      onAsked(p => p.shortened(plain(look), [...budgets], points, [...behind])),
    sitting: (look: Look, finger: number, bridges: ReadonlyMap<string, number | null>) =>
      onAsked(p => p.sitting(plain(look), finger, bridges)),
    forgotten: (look: Look, habits: Habits | null) => onAsked(p => p.forgotten(plain(look), plain(habits))),
    /** Gives up what was asked for by a press. */
    stop: () => asked.giveUp(),
  }
}

type OnWorker = <T>(job: (painter: Remote<Painter>) => Promise<T>) => Promise<T>

/** The picture of the stage: the whole, and what is seen of it from near. */
const stageOn = (onStage: OnWorker) => ({
  update: (
    look: Look,
    pxPerMm: number,
    upTo: number | undefined,
    have: number | null,
    light: LightId,
  ): Promise<Update | null> => onStage(p => p.update(plain(look), pxPerMm, upTo, have, light)),
  updateNear: (
    look: Look,
    pxPerMm: number,
    box: Box,
    upTo: number | undefined,
    have: number | null,
    light: LightId,
  ): Promise<Update | null> =>
    onStage(p => p.updateNear(plain(look), pxPerMm, plain(box), upTo, have, light)),
  /** Gets the bare skin ready before the sheets are there. */
  ready: (look: Look, pxPerMm: number): Promise<void> => onStage(p => p.ready(plain(look), pxPerMm)),
  /** The whole look at once and coarsely, for a stage that shows nothing yet. */
  coarse: (look: Look, light: LightId): Promise<Picture> =>
    onStage(p => p.paint(plain(look), COARSE_PX, undefined, light)),
})

/** The middle of what is seen, painted beside the stage's worker. */
const middleOn = (onBeside: OnWorker) => ({
  updateMiddle: (
    look: Look,
    pxPerMm: number,
    box: Box,
    upTo: number | undefined,
    light: LightId,
  ): Promise<Update | null> =>
    onBeside(p => p.updateNear(plain(look), pxPerMm, plain(box), upTo, null, light)),
  /** Nobody waits for it any more. */
  noMiddle: (): Promise<void> => onBeside(p => p.noNear()),
})

/** Nine alternatives, painted where the picture of the stage is: its bare skin is there, and what paints is warm. */
const nineOn =
  (onStage: OnWorker) =>
  (wish: NineWish, fitting: () => Promise<Fit[]>, onPainted: (one: OneOfNine) => void): Promise<NineTold> => {
    const found = async () => {
      const fits = await fitting()
      // The worker hears of the stencils that were fetched for it before it hears which of them fit.
      await onStage(() => Promise.resolve())
      return fits
    }
    return onStage(p => p.nine(plain(wish), proxy(found), proxy(onPainted)))
  }

/** Pixels to the millimetre of the first, coarse painting. */
const COARSE_PX = 1

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
