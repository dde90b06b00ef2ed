import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { distance, ringCentroid, tenthPoint, type Point } from '#core/geometry'
import { anchorOf, laidOf, whereIs } from '#core/look'
import { onSkin } from '#core/skin'
import { useLoops } from '~/composables/useLoops'
import { useChoice } from '~/stores/choice'
import { useFlow } from '~/stores/flow'
import { endsOf, useGradient } from '~/stores/gradient'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { useSettings } from '~/stores/settings'
import { ARROWS } from '../keys'
import type { useGrip } from './grip'
import { toScreen, toSkin, type View } from './view'

/** Something on the stage that a hand can press or take hold of, and what it is called. */
interface Target {
  readonly at: Point
  readonly words: string
}

/** The stage under keys. */
interface KeysOn {
  readonly view: Readonly<Ref<View>>
  readonly fitting: Readonly<Ref<boolean>>
  readonly grip: ReturnType<typeof useGrip>
}

/** With Shift an arrow moves by so many mm. */
const FAR = 5
/** A target within this is under the cursor, mm. */
const ON = 2
/** The cursor is told once it has rested so long, ms. */
const REST_MS = 350

/** What there is to press or to take hold of now: what the pointer would find. */
function useTargets(fitting: Readonly<Ref<boolean>>) {
  const scene = useScene()
  const selection = useSelection()
  const choice = useChoice()
  const gradient = useGradient()
  const flow = useFlow()
  const settings = useSettings()
  const { loops } = useLoops()

  function openings(): Target[] {
    const { step, chosen, may } = choice.now!
    const sheet = scene.world.stencil(step.stencil)
    const laid = laidOf(step, scene.world)[0]
    if (!sheet || !laid) return []
    return sheet.openings.flatMap(({ outer }, n) =>
      may.has(n)
        ? {
            at: laid.point(ringCentroid(outer)),
            words: `opening ${n + 1} of ${sheet.openings.length}, ${chosen.has(n) ? 'chosen' : 'not chosen'}`,
          }
        : [],
    )
  }
  function handles(): Target[] {
    const mark = selection.steps.length === 1 ? selection.mark : null
    return [
      ...(mark?.points ?? []).map((at, n, all) => ({ at, words: `handle ${n + 1} of ${all.length}` })),
      ...loops.value.map(({ middle }, n) => ({ at: middle, words: `shape ${n + 1}` })),
      ...(gradient.now
        ? endsOf(gradient.now).map((at, n) => ({
            at,
            words: n ? 'end of the colours' : 'start of the colours',
          }))
        : []),
      ...(settings.guides ? flow.all.map((at, n) => ({ at, words: `focal point ${n + 1}` })) : []),
    ]
  }
  return computed<readonly Target[]>(() => {
    if (fitting.value) return scene.ground.marks.map(({ at, words }) => ({ at, words }))
    return choice.now ? openings() : handles()
  })
}

/** The cursor on the skin: where it stands, what is told of it, and how it moves. */
function useCursor(targets: Readonly<Ref<readonly Target[]>>) {
  const scene = useScene()
  const selection = useSelection()
  /** Where it stands, mm; null while there is none. */
  const at = shallowRef<Point | null>(null)
  const told = ref('')

  /** Begins at the picked spot, what is in hand, or the middle. */
  function begin(): void {
    const { spot, sheet, mark } = selection
    at.value = tenthPoint(spot ?? sheet?.at ?? (mark ? anchorOf(mark.points) : scene.middle()))
  }
  /** Goes to a point of the skin; returns whether it did. */
  function go(to: Point): boolean {
    const may = onSkin(scene.ground, to)
    if (may) at.value = tenthPoint(to)
    else told.value = 'edge of the skin'
    return may
  }
  /** The next thing there is to press, or the one before; null where there is none. */
  function beside(by: number): Point | null {
    const list = targets.value
    const now = list.findIndex(t => distance(t.at, at.value!) < 0.2)
    const n = now < 0 ? (by > 0 ? 0 : list.length - 1) : (now + by + list.length) % list.length
    if (!list.length) told.value = 'nothing to take hold of'
    return list[n]?.at ?? null
  }
  const landmark = (): Point => whereIs(scene.ground, at.value!).nearest.at
  function tell(): void {
    if (!at.value) return
    const under = targets.value.find(t => distance(t.at, at.value!) < ON)
    const where = whereIs(scene.ground, at.value)
    told.value = [under?.words, where.landmark, where.midline].filter(Boolean).join(', ')
  }
  watchDebounced(at, tell, { debounce: REST_MS })
  return { at, told, begin, go, beside, landmark, tell }
}

type Cursor = ReturnType<typeof useCursor>

/** The cursor's hand: it presses, takes hold, carries and sets down as a pointer does. */
function useCursorHand(cursor: Cursor, { view, grip }: Pick<KeysOn, 'view' | 'grip'>) {
  const { told } = cursor
  /** Whether what was taken hold of moves with the cursor. */
  const holding = ref(false)
  const touch = () => {
    const point = toScreen(view.value, cursor.at.value!)
    return { point, skin: toSkin(view.value, point), alt: false, shift: false, ctrl: false }
  }
  function go(to: Point | null): void {
    if (to && cursor.go(to) && holding.value) grip.carry(touch())
  }
  function letGo(): void {
    grip.letGo()
    holding.value = false
  }
  /** Sets down what is held; `tapped` when it was only pressed in passing. */
  function set(tapped: boolean): void {
    grip.put(touch(), tapped)
    letGo()
    if (!tapped) told.value = 'set down'
  }
  function tap(): void {
    if (holding.value) return set(false)
    grip.take(touch())
    set(true)
    cursor.tell()
  }
  /** Takes hold, to carry with the arrows. */
  function hold(): void {
    holding.value = grip.take(touch()).held
    told.value = holding.value ? 'held: arrows carry it, Enter sets it down' : 'nothing to take hold of'
  }
  return { holding, go, letGo, set, tap, hold }
}

/**
 * A cursor on the skin that keys move, which presses and takes hold as a pointer does, so that whatever a hand
 * can do on the stage can be done by keys.
 */
export function useKeyHand({ view, fitting, grip }: KeysOn) {
  const targets = useTargets(fitting)
  const cursor = useCursor(targets)
  const { holding, go, letGo, set, tap, hold } = useCursorHand(cursor, { view, grip })
  // What is told of an opening changes with the press on it.
  watch(targets, () => {
    if (!holding.value) cursor.tell()
  })
  function end(): void {
    letGo()
    cursor.at.value = null
  }
  const acts: Readonly<Record<string, () => void>> = {
    ' ': tap,
    'Enter': () => (holding.value ? set(false) : hold()),
    'PageDown': () => go(cursor.beside(1)),
    'PageUp': () => go(cursor.beside(-1)),
    'Home': () => go(cursor.landmark()),
    'Escape': () => (holding.value ? letGo() : end()),
  }
  /** What a key on the stage does; returns whether it was the cursor's. */
  function press(event: KeyboardEvent): boolean {
    if (event.altKey || event.ctrlKey || event.metaKey) return false
    const here = cursor.at.value
    if (!here) {
      if (event.key === 'Enter') cursor.begin()
      return event.key === 'Enter'
    }
    const way = ARROWS[event.key]
    const by = event.shiftKey ? FAR : 1
    if (way) go([here[0] + by * way[0], here[1] + by * way[1]])
    else acts[event.key]?.()
    return way !== undefined || event.key in acts
  }
  const at = computed(() => cursor.at.value && toScreen(view.value, cursor.at.value))
  return { at, holding, told: cursor.told, press, end }
}
