import Konva from 'konva'
import { distance, type Point } from '#core/geometry'
import {
  between,
  isBase,
  isOutline,
  kindOf,
  liesOf,
  mostHandles,
  type MarkStep,
  type Step,
  type World,
} from '#core/look'
import { edged, MULBERRY } from './pen'
import { toScreen, trace, type View } from './view'

/** The handle of a step under a point of the stage; null when there is none. */
export function handleAt(step: MarkStep, view: View, at: Point): number | null {
  const n = step.points.findIndex(p => distance(toScreen(view, p), at) < 10)
  return n < 0 ? null : n
}

/** Where a closed outline can get one more handle: in the middle between two. */
const gapsIn = (step: MarkStep): Point[] =>
  isOutline(step) && step.points.length < mostHandles(step)
    ? step.points.map((_, i) => between(step.points, i, 'straight' in step && step.straight))
    : []

/** The gap of a closed outline, by the handle before it, under a point of the stage; null when there is none. */
export function gapAt(step: MarkStep, view: View, at: Point): number | null {
  const n = gapsIn(step).findIndex(p => distance(toScreen(view, p), at) < 8)
  return n < 0 ? null : n
}

/** Draws what is selected of brushwork above the picture: what it covers, the way between its handles, and the handles themselves. */
export function drawMarks(
  layer: Konva.Layer,
  steps: readonly Step[],
  held: MarkStep | null,
  world: World,
  view: View,
  moving: boolean,
): void {
  layer.add(
    new Konva.Shape({
      listening: false,
      sceneFunc(ctx) {
        const c = ctx._context
        for (const step of steps) {
          const rings = kindOf(step).silhouette(step, world)
          c.beginPath()
          for (const ring of rings) trace(c, ring, view)
          if (moving) {
            c.fillStyle = 'rgba(122,46,93,0.5)'
            c.fill()
          }
          edged(c, 2.6, 1, 'rgba(255,255,255,0.7)')
        }
        if (!held || held.points.length < 2 || isBase(held)) return
        for (const [n, lie] of liesOf(held, world.ground).entries()) {
          c.beginPath()
          lie.points.forEach((p, i) => c[i ? 'lineTo' : 'moveTo'](...toScreen(view, p)))
          c.setLineDash([2, 3])
          c.lineWidth = 1
          c.strokeStyle = n ? 'rgba(122,46,93,0.45)' : MULBERRY
          c.stroke()
        }
        c.setLineDash([])
      },
    }),
  )
  if (held && !moving) {
    for (const p of gapsIn(held)) {
      const [x, y] = toScreen(view, p)
      layer.add(
        new Konva.Circle({
          x,
          y,
          radius: 3.2,
          fill: '#FDFCF9',
          stroke: MULBERRY,
          strokeWidth: 1,
          opacity: 0.85,
          listening: false,
        }),
      )
    }
  }
  held?.points.forEach((p, i) => {
    const [x, y] = toScreen(view, p)
    const last = i === held.points.length - 1 && !isOutline(held)
    layer.add(
      new Konva.Circle({
        x,
        y,
        radius: 5.5,
        fill: i === 0 && !isOutline(held) ? MULBERRY : '#FDFCF9',
        stroke: i === 0 && !isOutline(held) ? '#FDFCF9' : MULBERRY,
        strokeWidth: 1.8,
        listening: false,
      }),
    )
    if (last && held.points.length > 1)
      layer.add(new Konva.Circle({ x, y, radius: 2, fill: MULBERRY, listening: false }))
  })
}
