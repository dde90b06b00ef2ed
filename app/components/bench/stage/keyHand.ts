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

/**
 * A cursor on the skin that keys move, which presses and takes hold as a pointer does, so that whatever a hand
 * can do on the stage can be done by keys.
 */
export function useKeyHand({ view, fitting, grip }: KeysOn) {
  const scene = useScene()
  const selection = useSelection()
  const targets = useTargets(fitting)
  /** Where the cursor stands on the skin, mm; null while there is none. */
  const cursor = shallowRef<Point | null>(null)
  /** Whether what was taken hold of moves with it. */
  const holding = ref(false)
  const told = ref('')

  const touch = (at: Point) => {
    const point = toScreen(view.value, at)
    return { point, skin: toSkin(view.value, point), alt: false, shift: false, ctrl: false }
  }
  /** Where the cursor begins: at the picked spot, what is in hand, or the middle. */
  function start(): Point {
    const { spot, sheet, mark } = selection
    return spot ?? sheet?.at ?? (mark ? anchorOf(mark.points) : scene.middle())
  }
  function end(): void {
    grip.letGo()
    holding.value = false
    cursor.value = null
  }
  function go(to: Point): void {
    if (!onSkin(scene.ground, to)) return void (told.value = 'edge of the skin')
    cursor.value = tenthPoint(to)
    if (holding.value) grip.carry(touch(cursor.value))
  }
  /** To the next thing there is to press, or the one before. */
  function leap(by: number): void {
    const list = targets.value
    if (!list.length) return void (told.value = 'nothing to take hold of')
    const now = list.findIndex(t => distance(t.at, cursor.value!) < 0.2)
    const n = now < 0 ? (by > 0 ? 0 : list.length - 1) : (now + by + list.length) % list.length
    go(list[n]!.at)
  }
  /** To the nearest landmark. */
  const snap = () => go(whereIs(scene.ground, cursor.value!).nearest.at)
  /** A press in passing, as a tap. */
  function tap(): void {
    if (holding.value) return set()
    const here = touch(cursor.value!)
    grip.take(here)
    grip.put(here, true)
    grip.letGo()
    tell()
  }
  /** Takes hold, to carry with the arrows. */
  function hold(): void {
    holding.value = grip.take(touch(cursor.value!)).held
    told.value = holding.value ? 'held: arrows carry it, Enter sets it down' : 'nothing to take hold of'
  }
  function set(): void {
    grip.put(touch(cursor.value!), false)
    grip.letGo()
    holding.value = false
    told.value = 'set down'
  }
  function tell(): void {
    if (!cursor.value) return
    const under = targets.value.find(t => distance(t.at, cursor.value!) < ON)
    const { landmark, midline } = whereIs(scene.ground, cursor.value)
    told.value = [under?.words, landmark, midline].filter(Boolean).join(', ')
  }
  watchDebounced(cursor, tell, { debounce: REST_MS })
  // What is told of an opening changes with the press on it.
  watch(targets, () => cursor.value && !holding.value && tell())

  const acts: Readonly<Record<string, () => void>> = {
    ' ': tap,
    'Enter': () => (holding.value ? set() : hold()),
    'PageDown': () => leap(1),
    'PageUp': () => leap(-1),
    'Home': snap,
    'Escape': () => {
      if (!holding.value) return end()
      grip.letGo()
      holding.value = false
    },
  }
  /** What a key on the stage does; returns whether it was the cursor's. */
  function press(event: KeyboardEvent): boolean {
    if (event.altKey || event.ctrlKey || event.metaKey) return false
    if (!cursor.value) {
      if (event.key !== 'Enter') return false
      cursor.value = tenthPoint(start())
      return true
    }
    const way = ARROWS[event.key]
    const by = event.shiftKey ? FAR : 1
    if (way) go([cursor.value[0] + by * way[0], cursor.value[1] + by * way[1]])
    else acts[event.key]?.()
    return way !== undefined || event.key in acts
  }
  const at = computed(() => cursor.value && toScreen(view.value, cursor.value))
  return { at, holding, told, press, end }
}
