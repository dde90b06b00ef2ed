import { nanoid } from 'nanoid'
import { tenth, tenthPoint, type Point } from '#core/geometry'
import { freshSheet, ofKind, type PaintRef, type SheetStep } from '#core/look'
import type { Placement } from '#core/skin'
import { unprepared } from '#core/stencil'
import { GivenUp } from '~/utils/stoppable'

/**
 * The paint of the last pass of the look, for the next sheet; null when it is a split cake or there is none.
 */
function lastPaint(sheets: readonly SheetStep[]): PaintRef | null {
  const load = sheets.at(-1)?.passes.at(-1)?.load
  if (!load || load.kind === 'cake') return null
  return load.kind === 'one' ? load.paint : load.second
}

/** Where a new stencil goes when nothing has been searched. */
function useSeating() {
  const session = useSession()
  const scene = useScene()
  const drawer = useDrawer()
  const worker = useSheetWorker()

  /** A new step where it fits, near the place that was asked for; as it is when the worker was stopped. */
  async function seated(step: SheetStep, asked: Point | null, proposed = false): Promise<SheetStep> {
    const about = drawer.find(step.stencil)!
    const shape = drawer.shapes.get(step.stencil)
    if (!shape) return step
    const { skin, canvas, focus } = session.look!
    try {
      return await worker.laid(
        step,
        { ...unprepared(shape), kind: about.kind, zones: about.zones },
        {
          look: { skin, canvas, focus },
          asked,
          proposed,
          usual: scene.middle(),
          today: new Date().toISOString().slice(0, 10),
        },
      )
    } catch (error) {
      if (error instanceof GivenUp) return step
      throw error
    }
  }
  return { seated }
}

/** Laying stencils on the skin. */
export function useLaying() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const drawer = useDrawer()
  const kit = useKit()
  const steps = useSteps()
  const ways = useWays()
  const notices = useNotices()
  const { seated } = useSeating()
  /** The stencil that is being laid: a second press on it meanwhile lays no second one. */
  let laying: string | null = null
  /**
   * Lays a stencil on the skin where a search has found that it fits, shifted a little where it touches the skin
   * better, else where it fits near the place that
   * was pointed at, or anywhere.
   */
  async function addSheet(
    stencilId: string,
    at: Point | null,
    fit: (Partial<Placement> & { openings?: readonly number[] | null }) | null = null,
  ): Promise<void> {
    const about = drawer.find(stencilId)
    const paint =
      lastPaint(ofKind('sheet', session.look!.steps)) ?? (kit.singles[0] && kit.refOf(kit.singles[0]))
    if (!about || laying === stencilId) return
    if (!paint) return notices.refuse('A stencil is laid with a paint, and the kit has none: add one there.')
    laying = stencilId
    try {
      await drawer.ensure([stencilId])
      const asked = at ?? selection.spot
      const fresh = freshSheet(
        nanoid(10),
        about.name,
        stencilId,
        tenthPoint(asked ?? scene.middle()),
        paint,
        ways.now,
      )
      if (fit?.openings) fresh.passes[0]!.openings = { use: 'chosen', numbers: [...fit.openings] }
      const step = fit
        ? await seated({ ...fresh, tilt: tenth(fit.tilt ?? 0), side: fit.side ?? 'A' }, asked, true)
        : await seated(fresh, asked)
      steps.add(step, 'lay a stencil')
    } finally {
      laying = null
    }
  }
  return { addSheet }
}
