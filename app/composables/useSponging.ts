import { nanoid } from 'nanoid'
import {
  addBefore,
  baseUnder,
  freshPull,
  freshRework,
  isSparkle,
  laysNothing,
  type Act,
  type Manner,
  type ReworkArea,
  type SheetStep,
  type ToolLoad,
} from '#core/look'

/** Bases by a loaded sponge, and going over what lies there. */
export function useSponging() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const notices = useNotices()
  const kit = useKit()
  const { add } = useSteps()
  const { twinned } = useFresh()

  const addPull = (manner: Manner, load: ToolLoad) =>
    add(
      twinned(freshPull(nanoid(10), manner, scene.nextSpot(), load, scene.ground, session.look!.focus)),
      'lay a base by sponge',
    )

  const laysPaint = (s: NonNullable<typeof selection.step>) => !laysNothing(s) && !isSparkle(s)
  /** The steps that are gone over: what is selected, else the last that lays paint. */
  const under = computed(() => {
    const chosen = selection.steps.filter(laysPaint)
    const last = session.look?.steps.findLast(laysPaint)
    return chosen.length ? chosen : last ? [last] : []
  })
  function addRework(act: Act, area: ReworkArea): void {
    const follows = area === 'print' || area === 'rim'
    const over = follows ? under.value.map(s => s.id) : []
    if (follows && !over.length) return notices.refuse('There is nothing to go over yet: lay a base first.')
    const fresh = freshRework(nanoid(10), act, area, scene.nextSpot(), over, scene.ground)
    add(fresh.points.length ? twinned(fresh) : fresh, 'go over it')
  }
  /** How far a base goes past the print above it, mm (common practice). */
  const GROW = 3
  /** Lays the base that belongs beneath a sheet, right before it. */
  function addUnder(sheet: SheetStep): void {
    const paint = kit.find('gull') ?? kit.singles[0]
    if (!paint) return notices.refuse('The kit has no single colour yet: add one on the Kit page.')
    const wash = baseUnder(sheet, nanoid(10), [kit.refOf(paint)], GROW, scene.world)
    if (!wash) return notices.refuse('This stencil prints nothing here, so nothing lies beneath it.')
    if (session.edit('base under it', addBefore(sheet.id, wash))) selection.id = wash.id
  }
  return { addPull, addRework, addUnder, under }
}
