import { gatesOf, type Gate } from '#core/chair'
import { groundFor, stepsOff, withSteps, type Look, type Step, type World } from '#core/look'
import { ownTools } from '#core/paint'
import type { LookRecord } from '~~/server/db/looks'

/** The look in the chair, and what it is read against. */
export function sittingLook() {
  const drawer = useDrawer()
  const kit = useKit()
  const settings = useSettings()
  const record = shallowRef<LookRecord | null>(null)
  const look = computed<Look | null>(() => record.value?.look ?? null)
  const world = computed<World>(() => {
    const of = look.value!
    return withSteps(
      {
        ground: groundFor(of, pageMemo),
        oily: of.skin.oily,
        memo: pageMemo,
        stencil: s => drawer.shapes.get(s),
        paint: p => kit.find(p),
        ...ownTools(kit.readings),
        finger: settings.finger,
        driesBy: settings.driesBy,
        // Where something lies need not be known more finely than a hand lays it.
        quick: true,
      },
      of.steps,
      stepsOff(of),
    )
  })
  /** The steps that can be painted, in the order in which they were entered. */
  const painted = computed<Step[]>(() => {
    // Without the world, which takes a moment to work out.
    const off = stepsOff(look.value!)
    return look.value!.steps.filter(s => !off.has(s.id))
  })
  /** Whether its sheets and paints are there. */
  const filled = ref(false)
  /** Gates take a moment to work out: the page stands before. */
  const timed = ref(false)
  const gates = computed<Gate[]>(() => (timed.value ? gatesOf(look.value!, world.value) : []))
  const inOrder = (ids: readonly string[]): Step[] =>
    ids.flatMap(id => look.value!.steps.find(s => s.id === id) ?? [])
  return { record, look, world, painted, filled, timed, gates, inOrder }
}
export type SittingLook = ReturnType<typeof sittingLook>
