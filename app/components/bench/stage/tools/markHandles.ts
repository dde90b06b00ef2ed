import { tenth } from '#core/geometry'
import { isOutline, type MarkStep } from '#core/look'
import { useShaping } from '~/composables/useShaping'
import { useSelection } from '~/stores/selection'
import { gapAt, handleAt } from '../marks'
import { toSkin } from '../view'
import type { Grip, StageHand, Tool } from './tool'

/** A handle pulled closer to the midline than this snaps onto it, mm, unless Alt is held. */
const SNAP = 0.8

/** The handles of the one step in hand: moved, taken out with Alt, and set anew between two. */
export function markHandleTool({ view, ghosts }: StageHand): Tool {
  const selection = useSelection()
  const shaping = useShaping()

  function moving(step: MarkStep, n: number): Grip {
    return {
      ownsAlt: true,
      drag({ skin, alt }) {
        if (!skin) return
        const x = Math.abs(skin[0]) < SNAP && !alt ? 0 : tenth(skin[0])
        const points = step.points.map((p, i): [number, number] =>
          i === n ? [x, tenth(skin[1])] : [p[0], p[1]],
        )
        ghosts.shaped.value = [{ ...step, points }]
      },
      release() {
        const to = ghosts.shaped.value?.[0]?.points[n]
        if (to) shaping.moveHandle(n, to)
      },
    }
  }
  return {
    press({ point, alt }) {
      const own = selection.steps.length === 1 ? selection.mark : null
      if (!own) return null
      const n = handleAt(own, view.value, point)
      if (n !== null && alt && isOutline(own)) {
        shaping.dropHandle(n)
        return 'done'
      }
      if (n !== null) return moving(own, n)
      const gap = gapAt(own, view.value, point)
      const between = gap === null ? null : toSkin(view.value, point)
      if (gap === null || !between) return null
      shaping.insertHandle(gap, between)
      return moving(selection.mark!, gap + 1)
    },
  }
}
