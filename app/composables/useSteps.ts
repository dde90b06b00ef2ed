import { nanoid } from 'nanoid'
import { afterFix, type Fix } from '#core/checks'
import {
  addBehind,
  addSteps,
  freshOutline,
  freshWash,
  moveStep,
  NO_TWIN,
  onKind,
  onMark,
  onStep,
  orderSteps,
  removeSteps,
  type CakeRef,
  type KindName,
  type MarkStep,
  type PaintRef,
  type Step,
  type StepOf,
} from '#core/look'
import type { ZoneId } from '#core/skin'

/** A base drawn farther than this from the midline gets a twin like any stroke, mm. */
const ASIDE = 24

/** Laying bases. */
function useBases(add: (step: Step, label: string) => void) {
  const scene = useScene()
  const settings = useSettings()
  const ways = useWays()
  /** Lays a base over zones, or on an outline of its own where a spot is picked. */
  function addWash(
    zones: ZoneId[] | null,
    colours: PaintRef[],
    name: string,
    cake: CakeRef | null = null,
  ): void {
    const { ground } = scene
    const load = cake && { cake: { kind: 'cake' as const, cake, strips: null } }
    if (zones)
      return add(
        {
          ...freshWash(nanoid(10), name, zones, colours, ground),
          ...load,
          ...(zones.length > 1 && { gapless: true }),
        },
        'lay a base',
      )
    const at = scene.nextSpot()
    const drawn = { ...freshOutline(nanoid(10), name, at, colours, ground), ...load }
    const twinned = settings.twinNew && ground.face && Math.abs(at[0]) > ASIDE
    const twin = { ...NO_TWIN, rule: ways.twinRule(ground), own: null }
    add(twinned ? { ...drawn, twin } : drawn, 'lay a base')
  }
  return { addWash }
}

/** The steps of the look: adding, changing, copying, ordering, taking out. */
export function useSteps() {
  const session = useSession()
  const selection = useSelection()
  const mergeKey = (merge: string | null) => (merge === null ? null : `${merge}-${selection.id}`)

  /** Changes the selected step. */
  const edit = (label: string, recipe: (step: Step) => void, merge: string | null = null) =>
    session.edit(label, onStep(selection.id, recipe), mergeKey(merge))
  /** Changes the selected step when it lies by handles. */
  const editMark = (label: string, recipe: (step: MarkStep) => void, merge: string | null = null) =>
    session.edit(label, onMark(selection.id, recipe), mergeKey(merge))
  /** Changes the selected step when it is of a kind. */
  const editKind = <K extends KindName>(
    kind: K,
    label: string,
    recipe: (step: StepOf<K>) => void,
    merge: string | null = null,
  ) => session.edit(label, onKind(kind, selection.id, recipe), mergeKey(merge))

  function add(step: Step, label: string): void {
    if (session.edit(label, addSteps([step]))) selection.id = step.id
  }
  function remove(): void {
    const at = session.look?.steps.findIndex(s => s.id === selection.id) ?? -1
    const gone = selection.ids
    if (at < 0) return
    session.edit(gone.size > 1 ? `delete ${gone.size} steps` : 'delete a step', removeSteps(gone))
    const { steps } = session.look!
    selection.id = steps[Math.min(at, steps.length - 1)]?.id ?? null
  }
  function duplicate(): void {
    const { step } = selection
    if (!step) return
    const copy: Step = { ...plain(step), id: nanoid(10) }
    if (session.edit('copy a step', addBehind(step.id, copy))) selection.id = copy.id
  }
  const move = (id: string, to: number) => session.edit('reorder', moveStep(id, to))
  const order = (ids: readonly string[]) => session.edit('reorder', orderSteps(ids))
  /** Makes the change that a finding proposes, as one step of undo. */
  const applyFix = (stepId: string | null, fix: Fix) =>
    session.edit(fix.words, draft => {
      draft.steps = afterFix(draft.steps, stepId, toRaw(fix), () => nanoid(10))
    })
  const { addWash } = useBases(add)
  return { edit, editMark, editKind, add, addWash, remove, duplicate, move, order, applyFix }
}
