import { nanoid } from 'nanoid'
import { tenth, tenthPoint, type Point } from '#core/geometry'
import {
  aimed,
  aimedTilt,
  aimSteps,
  flipped,
  freshSheet,
  letGo,
  ofKind,
  placeSheet,
  registerOn,
  shifted,
  turned,
  usualHeading,
  type PaintRef,
  type Place,
  type RegisterWay,
  type SheetStep,
} from '#core/look'
import type { Placement } from '#core/skin'

/** The paint of the last pass of the look, for the next sheet; null when it is a split cake or there is none. */
function lastPaint(sheets: readonly SheetStep[]): PaintRef | null {
  const load = sheets.at(-1)?.passes.at(-1)?.load
  if (!load || load.kind === 'cake') return null
  return load.kind === 'one' ? load.paint : load.second
}

/** Laying sheets and moving the one that is selected. */
export function usePlacing() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const drawer = useDrawer()
  const kit = useKit()
  const notices = useNotices()
  const steps = useSteps()

  /**
   * Changes where the selected sheet lies, or its unlinked twin when that is held. A sheet moved by hand is let go of its register;
   * a place off the skin is refused with a sentence.
   */
  function place(label: string, recipe: (place: Place) => void, merge: string | null = null): void {
    const step = selection.sheet
    if (!step) return
    const twin = selection.holdsTwin && step.twin.own !== null
    const command = placeSheet(step, twin, recipe, scene.world)
    const key = merge === null ? null : `${merge}-${twin ? 'twin' : 'own'}-${step.id}`
    if (session.edit(label, command, key) && step.register && !twin)
      notices.tell('No longer held in register; undo brings it back.')
  }
  const nudge = (dx: number, dy: number) => place('move', shifted(dx, dy), 'move')
  const turn = (by: number) => place('turn', turned(by), 'turn')
  const flip = () => place('flip over', flipped)

  /** Lays a sheet on the skin: where it is told to, else where the next thing goes. */
  async function addSheet(
    stencilId: string,
    at: Point | null,
    seat: Partial<Placement> & { openings?: readonly number[] | null } = {},
  ): Promise<void> {
    const about = drawer.find(stencilId)
    const sheets = ofKind('sheet', session.look!.steps)
    const paint = lastPaint(sheets) ?? (kit.singles[0] && kit.refOf(kit.singles[0]))
    if (!about || !paint) return
    await drawer.ensure([stencilId])
    const step = freshSheet(nanoid(10), about.name, stencilId, tenthPoint(at ?? scene.nextSpot()), paint)
    if (seat.openings) step.passes[0]!.openings = { use: 'chosen', numbers: [...seat.openings] }
    // A texture lies with the flow from the start: down on the forehead, up toward the nose on the cheeks.
    const usual =
      about.kind === 'texture' && typeof about.heading === 'number'
        ? aimedTilt('A', about.heading, usualHeading(scene.ground, step.at, session.look!.focus))
        : 0
    steps.add({ ...step, tilt: tenth(seat.tilt ?? usual), side: seat.side ?? 'A' }, 'lay a stencil')
  }

  /** Registers the selected sheet on another step's, or lets it go. */
  function register(on: string | null, way: RegisterWay): void {
    const step = selection.sheet
    const host = ofKind('sheet', session.look!.steps).find(s => s.id === on)
    if (!step) return
    if (host) session.edit('register', registerOn(step, host, way, scene.world))
    else session.edit('let go of the register', letGo(step.id))
  }

  /** Turns all that is selected so that each points at the focal point. */
  function aim(): void {
    const { ids, sheet } = selection
    const { focus } = session.look!
    if (ids.size === 1 && sheet) return place('aim', aimed(sheet, focus, scene.world))
    session.edit(ids.size > 1 ? `aim ${ids.size} steps` : 'aim', aimSteps(ids, scene.world))
  }
  /** Selects steps and turns each of them to the focal point. */
  function aimThese(ids: readonly string[]): void {
    if (!ids.length) return
    selection.take(ids)
    session.edit(ids.length > 1 ? `aim ${ids.length} steps` : 'aim', aimSteps(new Set(ids), scene.world))
  }
  return { place, nudge, turn, flip, addSheet, register, aim, aimThese }
}
