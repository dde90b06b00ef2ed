import { handsRest, type Gate, type StepFacts } from '#core/chair'
import { groundFor, sheetsOf, stepsOff, withSteps, type Look, type Step, type World } from '#core/look'
import { ownTools } from '#core/paint'
import type { LookRecord } from '~~/server/db/looks'
import type { SittingFacts } from '~/workers/sitting'

/** The look in the chair, and what it is read against. */
export function sittingLook() {
  const drawer = useDrawer()
  const kit = useKit()
  const settings = useSettings()
  const painter = usePainter()
  const record = shallowRef<LookRecord | null>(null)
  /** The look as this person wears it, where it was changed for them alone; the menu's look stays as it is. */
  const worn = shallowRef<Look | null>(null)
  const look = computed<Look | null>(() => worn.value ?? record.value?.look ?? null)
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
  /** What takes long to work out is worked out once, by the worker; null until it is. */
  const known = shallowRef<SittingFacts | null>(null)
  const facts = computed<ReadonlyMap<string, StepFacts>>(
    () => new Map(known.value?.steps.map(s => [s.id, s])),
  )
  const gates = computed<readonly Gate[]>(() => known.value?.gates ?? [])
  const rests = computed(() => handsRest(world.value))
  /** Works out what is to be known of the steps before anything is painted. */
  async function work(): Promise<void> {
    const of = look.value!
    const bridges = new Map(sheetsOf(of).map(id => [id, drawer.find(id)?.analysis?.bridge ?? null]))
    const answer = await painter.sitting(of, settings.finger, bridges)
    if (look.value === of) known.value = answer
  }
  const inOrder = (ids: readonly string[]): Step[] =>
    ids.flatMap(id => look.value!.steps.find(s => s.id === id) ?? [])
  return { record, worn, look, world, painted, filled, known, facts, gates, rests, work, inOrder }
}
export type SittingLook = ReturnType<typeof sittingLook>
