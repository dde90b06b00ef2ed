import { tenthPoint } from '#core/geometry'
import { endsOf, useGradient, withEnd } from '~/stores/gradient'
import { toScreen } from '../view'
import { near, type StageHand, type Tool } from './tool'

/** Drags where the colours of the selected step begin and end. */
export function gradientTool({ view, ghosts }: StageHand): Tool {
  const gradient = useGradient()
  return {
    press({ point }) {
      const axis = gradient.now
      if (!axis) return null
      const ends = endsOf(axis)
      // The end lies above the beginning where both stand in one place.
      const end = ([1, 0] as const).find(n => near(point, toScreen(view.value, ends[n])))
      if (end === undefined) return null
      return {
        ownsAlt: true,
        drag({ skin }) {
          if (skin) ghosts.axis.value = withEnd(axis, end, tenthPoint(skin))
        },
        release() {
          if (ghosts.axis.value) gradient.put(ghosts.axis.value)
        },
      }
    },
  }
}
