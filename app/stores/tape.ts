import { defineStore } from 'pinia'
import type { Point } from '#core/geometry'
import { useScene } from './scene'
import { useSettings } from './settings'

/** A tape laid on the skin between any two points. */
export const useTape = defineStore('tape', () => {
  const scene = useScene()
  const settings = useSettings()
  const on = ref(false)
  const ends = shallowRef<readonly [Point, Point] | null>(null)
  watch(on, () => {
    ends.value = null
  })
  /** The length between two points along the skin, mm. */
  const lengthBetween = (a: Point, b: Point): number => {
    const [u, v] = scene.ground.surface.exponential(a).from(...b)
    return Math.hypot(u, v)
  }
  const length = computed(() => (ends.value ? lengthBetween(...ends.value) : null))
  /** The length of the nearer brow, which painters measure by; null where there are none. */
  const brow = computed(() => {
    const marks = scene.ground.face?.landmarks
    if (!marks || !ends.value) return null
    const side = ends.value[0][0] < 0 ? marks.left : marks.right
    return lengthBetween(side.browStart, side.browTail)
  })
  /** The length in words: mm or inches, fingers, and the brow. */
  const words = computed(() => {
    if (length.value === null) return ''
    const fingers = length.value / settings.finger
    const brows = brow.value ? `, ${(length.value / brow.value).toFixed(1)} of the brow` : ''
    const mm = `${length.value.toFixed(1)} mm`
    const inch = `${(length.value / 25.4).toFixed(2)} in`
    return `${settings.inches ? `${inch}, ${mm}` : `${mm}, ${inch}`}, ${fingers.toFixed(1)} fingers${brows}`
  })
  return { on, ends, length, words }
})
