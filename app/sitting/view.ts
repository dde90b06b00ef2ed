import { gateBefore, screensFrom, windowOf, type Progress, type Screen } from '#core/chair'
import type { Look } from '#core/look'
import type { SittingLook } from './look'

/** What is seen of a sitting: the step in hand, the next one, what dries and what is still wet. */
export function sittingView(
  { look, painted, facts, gates, rests, inOrder }: SittingLook,
  progress: Ref<Progress>,
  live: Ref<Progress>,
) {
  /** The steps that were or will be painted, in their order. */
  const order = sameUntilChanged(() =>
    progress.value.begun ? [...progress.value.behind, ...progress.value.left] : painted.value.map(s => s.id),
  )
  /** The same, and behind them those that were left out meanwhile. */
  const everyId = sameUntilChanged(() => [
    ...order.value,
    ...[...progress.value.steps].flatMap(([id, s]) => (s.ending === 'left out' ? [id] : [])),
  ])
  const screens = computed<Screen[]>(() => screensFrom(inOrder(everyId.value), facts.value, rests.value))
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

/** Ids that stay the same list while they are the same: what is made of them is made anew only when they change. */
const sameUntilChanged = (ids: () => string[]) =>
  computed<string[]>(before => {
    const now = ids()
    return before?.length === now.length && before.every((id, i) => id === now[i]) ? before : now
  })
