import { gateBefore, screensOf, windowOf, type Progress, type Screen } from '#core/chair'
import type { Look } from '#core/look'
import type { SittingLook } from './look'

/** What is seen of a sitting: the step in hand, the next one, what dries and what is still wet. */
export function sittingView(
  { look, world, painted, gates, inOrder }: SittingLook,
  progress: Ref<Progress>,
  live: Ref<Progress>,
) {
  const drawer = useDrawer()
  /** The steps that were or will be painted, in their order. */
  const order = computed<string[]>(() =>
    progress.value.begun ? [...progress.value.behind, ...progress.value.left] : painted.value.map(s => s.id),
  )
  /** The same, and behind them those that were left out meanwhile. */
  const everyId = computed<string[]>(() => [
    ...order.value,
    ...[...progress.value.steps].flatMap(([id, s]) => (s.ending === 'left out' ? [id] : [])),
  ])
  const screens = computed<Screen[]>(() =>
    screensOf(inOrder(everyId.value), world.value, id => drawer.find(id)?.analysis?.bridge ?? null),
  )
  const screenOf = (id: string | undefined) => screens.value.find(s => s.id === id) ?? null
  const now = computed(() => screenOf(progress.value.left[0]))
  const next = computed(() => screenOf(progress.value.left[1]))
  const gate = computed(() =>
    now.value ? gateBefore(live.value, now.value.id, gates.value) : { seconds: 0, on: null },
  )
  const wet = computed(() => (now.value ? windowOf(live.value, now.value.id, gates.value) : null))
  /** The look with its steps in the order in which they are painted, for pictures. */
  const lookInOrder = computed<Look>(() => ({
    ...look.value!,
    shorter: undefined,
    steps: inOrder(order.value),
  }))
  return { order, screens, now, next, gate, wet, lookInOrder }
}
