import { defineStore } from 'pinia'
import { BREAKS, addFocus, cascade as cascadeOf, moveOneFocus, oneFocus } from '#core/look'
import type { Point } from '#core/geometry'
import type { Composition } from '~/workers/told'
import { useScene } from './scene'
import { useSelection } from './selection'
import { useSession } from './session'

/**
 * How the look hangs together: its flow to the focal point, its empty patches and its balance, while that is
 * shown.
 */
export const useFlow = defineStore('flow', () => {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const painter = usePainter()
  const composition = shallowRef<Composition | null>(null)
  const watching = ref(false)
  const showSpots = ref(false)
  /** Has the look composed anew; what of before still runs is given up. */
  async function compose(): Promise<void> {
    if (!session.look || !scene.loaded) return
    const found = await painter.composition(session.look)
    if (found) composition.value = found
  }
  watch([() => session.look, () => scene.loaded, watching, showSpots], () => {
    if (watching.value || showSpots.value) void compose()
  })
  /** The steps that break the flow. */
  const breakers = computed(() => {
    const off = composition.value?.flow.elements.filter(e => !e.twin && Math.abs(e.off) > BREAKS) ?? []
    return [...new Set(off.map(e => e.stepId))]
  })
  const moveFocus = (n: number, at: Point) => void session.edit('move a focal point', moveOneFocus(n, at))
  /** One more focal point, where a spot is picked, else at an eye. */
  const moreFocus = () => {
    const pupil = scene.ground.face?.landmarks.right.pupil
    session.edit('one more focal point', addFocus(selection.spot ?? pupil ?? scene.nextSpot()))
  }
  const onlyFocus = () => void session.edit('one focal point', oneFocus)
  const all = computed(() => (session.look ? [session.look.focus, ...(session.look.foci ?? [])] : []))
  /**
   * Lets the sizes of what is selected, or of all brushwork, fall from the farthest to the nearest of the
   * focal point.
   */
  const cascade = () => {
    const steps = selection.steps.length > 1 ? selection.steps : session.look!.steps
    session.edit('sizes fall', cascadeOf(steps, scene.world))
  }
  return { composition, watching, showSpots, breakers, all, moveFocus, moreFocus, onlyFocus, cascade }
})
