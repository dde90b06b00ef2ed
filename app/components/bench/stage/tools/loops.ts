import { tenthPoint, type Point } from '#core/geometry'
import { useLoops } from '~/composables/useLoops'
import { toScreen } from '../view'
import { near, type StageHand, type Tool } from './tool'

/** Moves a drawn shape of the selected step by the knob in its middle. */
export function loopTool({ view, ghosts }: StageHand): Tool {
  const { loops, move } = useLoops()
  return {
    press({ point }) {
      const n = loops.value.findIndex(l => near(point, toScreen(view.value, l.middle)))
      const loop = loops.value[n]
      if (!loop) return null
      let by: Point = [0, 0]
      return {
        ownsAlt: true,
        drag({ skin }) {
          if (!skin) return
          by = [skin[0] - loop.middle[0], skin[1] - loop.middle[1]]
          ghosts.loop.value = loop.points.map(([x, y]): Point => [x + by[0], y + by[1]])
        },
        release() {
          if (ghosts.loop.value) move(n, tenthPoint(by))
        },
      }
    },
  }
}
