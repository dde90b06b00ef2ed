import type { Draft } from '#core/draft'
import type { SheetOnTheWay } from '#core/formats'
import type { Look, SheetStep } from '#core/look'
import type { Canvas } from '#core/skin'
import { unprepared, type Analysis, type Island, type Fit, type Stencil } from '#core/stencil'
import type { SheetGeometry, Spot } from '#core/stencil'
import { StoppableWorker } from '~/utils/stoppable'
import type { FileAnswer, Mending, Sheets, UnpackedAnswer, WhereToLay } from '~/workers/sheets'

/** What the worker was last told of the drawer, and when it has heard it. */
let known = '',
  heard: Promise<void> = Promise.resolve()

/** Reading and measuring the finest stencil takes some seconds, ms. */
const DEADLINE_MS = 90_000
const stoppable = new StoppableWorker<Sheets>(
  () => new Worker(new URL('../workers/sheets.ts', import.meta.url), { type: 'module' }),
  DEADLINE_MS,
  () => {
    known = ''
    heard = Promise.resolve()
  },
)
const worker = () => stoppable.jobs
/** Gives up whatever runs: throws GivenUp at whoever waits for it. */
const giveUp = (): void => stoppable.giveUp()

/** Jobs that need nothing of the drawer: drafts, sheets as one file and out of one, a new step laid well. */
const drafts = {
  laid: (step: SheetStep, about: Stencil & { zones: readonly string[] }, where: WhereToLay) =>
    stoppable.until<SheetStep>(worker().laid(plain(step), plain(about), plain(where))),
  offers: (draft: Draft) => stoppable.until(worker().offers(plain(draft))),
  packed: (sheets: SheetOnTheWay[]) => stoppable.until(worker().packed(plain(sheets))),
  unpacked: (bytes: Uint8Array) => stoppable.until<UnpackedAnswer>(worker().unpacked(bytes)),
}

/**
 * Tells the worker of every sheet of the drawer, when something of them has changed; done once the worker
 * has heard it, whoever told it.
 */
async function tellDrawer(drawer: ReturnType<typeof useDrawer>): Promise<void> {
  await drawer.ensure(drawer.list.map(s => s.id))
  const key = JSON.stringify(drawer.list.map(s => [s.id, s.kind, s.zones, s.heading]))
  if (key !== known) {
    known = key
    heard = worker().know(
      plain(
        drawer.list.flatMap(about => {
          const shape = drawer.shapes.get(about.id)
          return shape
            ? [
                {
                  ...unprepared(shape),
                  kind: about.kind,
                  zones: about.zones,
                  heading: about.heading,
                  axes: about.analysis?.axes ?? [],
                  bridge: about.analysis?.bridge ?? null,
                },
              ]
            : []
        }),
      ),
    )
    heard.catch(() => {
      known = ''
    })
  }
  await heard
}

/**
 * Reading, measuring, mending and fitting of sheets, off the page's thread. The worker is handed plain data
 * only.
 */
export function useSheetWorker() {
  const drawer = useDrawer()
  const knowDrawer = () => tellDrawer(drawer)
  return {
    read: (text: string, widthMm?: number) => stoppable.until<FileAnswer>(worker().read(text, widthMm)),
    analyse: (
      sheet: SheetGeometry,
      below: number,
      onProgress: (words: string, done: number) => void = () => {},
    ): Promise<Analysis> =>
      meanwhile(onProgress, told => stoppable.until(worker().analyse(plain(sheet), below, told))),
    joins: (sheet: SheetGeometry, islands: Island[], width: number) =>
      worker().joins(plain(sheet), plain(islands), width),
    mend: (sheet: SheetGeometry, mending: Mending) =>
      stoppable.until(worker().mend(plain(sheet), plain(mending))),
    ...drafts,
    giveUp,
    knowDrawer,
    fits: (
      spot: Spot,
      { canvas, skin }: Pick<Look, 'canvas' | 'skin'>,
      onProgress: (done: number) => void,
    ): Promise<Fit[] | null> =>
      meanwhile(onProgress, told => worker().fits(plain(spot), plain({ canvas, skin }), told)),
    stop: () => worker().stop(),
    moved: (look: Look, canvas: Canvas, age: number) => worker().moved(plain(look), plain(canvas), age),
  }
}
