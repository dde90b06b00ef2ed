import { nanoid } from 'nanoid'
import {
  addSteps,
  fillOf,
  ofKind,
  starterOf,
  type Fill,
  type Palette,
  type SheetStep,
  type StarterId,
} from '#core/look'
import type { Point } from '#core/geometry'

/** Arrangements of strokes, and filling of empty patches. */
export function useArrangements() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const colour = useColour()
  const kit = useKit()
  const notices = useNotices()
  const { add } = useSteps()

  /** The colour in hand and what goes with it; null when the kit has none. */
  function palette(): Palette | null {
    const dark = colour.byLight[0]
    const light = colour.byLight.at(-1)
    const now = colour.need()
    if (!dark || !light || !now) return null
    const accent = kit.find('lantern') ?? kit.singles.find(p => p.finish === 'metallic') ?? dark
    const other = () =>
      kit.find('mulberry') ?? kit.singles.find(p => p.id !== dark.id && p.id !== light.id) ?? dark
    const body = now.id === dark.id ? other() : kit.find(now.id)!
    return {
      dark: kit.refOf(dark),
      light: kit.refOf(light),
      body: kit.refOf(body),
      accent: kit.refOf(accent),
    }
  }
  /** Lays an arrangement as one step of undo. */
  function addStarter(which: StarterId): void {
    const starter = starterOf(which)
    const { look } = session
    const host: SheetStep | null = selection.sheet ?? ofKind('sheet', look!.steps).at(-1) ?? null
    const colours = palette()
    if (!colours) return
    if (starter.on === 'sheet' && !host)
      return notices.refuse('Lay a stencil first: this arrangement goes around one.')
    const { ground } = scene
    const setting = { ground, focus: look!.focus, palette: colours, id: () => nanoid(10), host }
    const steps = starter.make(setting)
    if (session.edit(starter.words.toLowerCase(), addSteps(steps))) selection.take(steps.map(s => s.id))
  }
  /** Fills an empty patch. */
  function fill(how: Fill, at: Point, radius: number): void {
    const now = colour.need()
    if (!now) return
    const lightest = colour.byLight.at(-1)
    const paint = how === 'star' && lightest ? kit.refOf(lightest) : now
    const step = fillOf(how, nanoid(10), at, radius, paint, scene.ground, session.look!.focus)
    add(step, 'fill a gap')
  }
  return { addStarter, fill }
}
