import type { Point } from '#core/geometry'
import { discAt } from '#core/skin'
import { useDrawing } from '~/stores/drawing'
import type { StageHand, Tool } from './tool'

/** A tap where a shape is asked for means a disc of this radius, mm. */
const DISC = 12

const pointsOfDisc = (at: Point): Point[] => {
  const ring = discAt(at, DISC)
  return Array.from({ length: ring.length / 2 }, (_, i): Point => [ring[2 * i]!, ring[2 * i + 1]!])
}

/** Draws the shape that is asked for: a drag goes round it, a tap sets a disc. */
export function drawingTool({ ghosts }: StageHand): Tool {
  const drawing = useDrawing()
  return {
    ownsPress: true,
    press({ skin }) {
      if (!drawing.asked) return null
      if (!skin) return 'done'
      const points: Point[] = [skin]
      return {
        ownsAlt: true,
        drag({ skin: next }) {
          if (!next) return
          points.push(next)
          ghosts.loop.value = [...points]
        },
        release(_, tapped) {
          if (tapped) drawing.put(pointsOfDisc(skin))
          else if (points.length > 3) drawing.put(points)
        },
      }
    },
  }
}
