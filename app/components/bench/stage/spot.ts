import { computed, ref } from 'vue'
import { watchDebounced } from '@vueuse/core'
import { tenthPoint, type Point } from '#core/geometry'
import { whereIs } from '#core/look'
import { onSkin, zoneAt, zoneWords } from '#core/skin'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { ARROWS } from '../keys'

/** The spot lies still for so long before it is told, ms. */
const REST_MS = 400

/** The picked spot: what it is called, and how arrows move it. */
export function useSpot() {
  const scene = useScene()
  const selection = useSelection()
  const words = computed(() => {
    const zone = selection.spot && zoneAt(scene.ground, selection.spot)
    return selection.spot ? `Spot picked: ${zone ? zoneWords(zone) : 'bare skin'}` : ''
  })
  /**
   * With nothing selected the arrows move the picked spot over the skin, from its middle on; Home brings it to the
   * nearest landmark.
   */
  function walk(event: KeyboardEvent): boolean {
    const way = ARROWS[event.key]
    if (event.key === 'Home' && !selection.id && selection.spot) {
      selection.spot = tenthPoint(whereIs(scene.ground, selection.spot).nearest.at)
      return true
    }
    if (!way || selection.id || event.altKey || event.ctrlKey || event.metaKey) return false
    const by = event.shiftKey ? 5 : 1
    const { spot } = selection
    const next: Point = spot ? [spot[0] + by * way[0], spot[1] + by * way[1]] : scene.middle()
    if (onSkin(scene.ground, next)) selection.spot = tenthPoint(next)
    return true
  }
  /** Where the spot lies, said once it rests. */
  const told = ref('')
  watchDebounced(
    () => selection.spot,
    spot => {
      const where = spot && whereIs(scene.ground, spot)
      told.value = where ? `Spot ${[where.landmark, where.midline].join(', ')}` : ''
    },
    { debounce: REST_MS },
  )
  return { words, walk, told }
}
