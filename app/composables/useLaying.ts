import { nanoid } from 'nanoid'
import { tenth, tenthPoint, type Point } from '#core/geometry'
import { aimedTilt, freshSheet, ofKind, usualHeading, type PaintRef, type SheetStep } from '#core/look'
import type { Placement } from '#core/skin'

/**
 * The paint of the last pass of the look, for the next sheet; null when it is a split cake or there is none.
 */
function lastPaint(sheets: readonly SheetStep[]): PaintRef | null {
  const load = sheets.at(-1)?.passes.at(-1)?.load
  if (!load || load.kind === 'cake') return null
  return load.kind === 'one' ? load.paint : load.second
}

/** Laying sheets on the skin. */
export function useLaying() {
  const session = useSession()
  const scene = useScene()
  const drawer = useDrawer()
  const kit = useKit()
  const steps = useSteps()
  const ways = useWays()

  /** Lays a sheet on the skin: where it is told to, else where the next thing goes. */
  async function addSheet(
    stencilId: string,
    at: Point | null,
    fit: Partial<Placement> & { openings?: readonly number[] | null } = {},
  ): Promise<void> {
    const about = drawer.find(stencilId)
    const sheets = ofKind('sheet', session.look!.steps)
    const paint = lastPaint(sheets) ?? (kit.singles[0] && kit.refOf(kit.singles[0]))
    if (!about || !paint) return
    await drawer.ensure([stencilId])
    const step = freshSheet(
      nanoid(10),
      about.name,
      stencilId,
      tenthPoint(at ?? scene.nextSpot()),
      paint,
      ways.now,
    )
    if (fit.openings) step.passes[0]!.openings = { use: 'chosen', numbers: [...fit.openings] }
    // A texture lies with the flow from the start: down on the forehead, up toward the nose on the cheeks.
    const usual =
      about.kind === 'texture' && typeof about.heading === 'number'
        ? aimedTilt('A', about.heading, usualHeading(scene.ground, step.at, session.look!.focus))
        : 0
    steps.add({ ...step, tilt: tenth(fit.tilt ?? usual), side: fit.side ?? 'A' }, 'lay a stencil')
  }
  return { addSheet }
}
