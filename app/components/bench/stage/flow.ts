import Konva from 'konva'
import type { FlowElement } from '#core/look'
import type { EmptySpot } from '#core/raster'
import { MULBERRY } from './ink'
import { toScreen, type View } from './view'

/**
 * Draws where every element points, against the way to the focal point: sage where it flows, ochre and broken
 * where it does not.
 */
export function drawFlow(
  layer: Konva.Layer,
  elements: readonly FlowElement[],
  breaks: number,
  view: View,
): void {
  for (const e of elements) {
    const [x, y] = toScreen(view, e.at)
    const bad = Math.abs(e.off) > breaks
    const a = (e.heading * Math.PI) / 180
    const l = 26
    const points = [
      x - (Math.sin(a) * l) / 2,
      y + (Math.cos(a) * l) / 2,
      x + (Math.sin(a) * l) / 2,
      y - (Math.cos(a) * l) / 2,
    ]
    const aim = (e.aim * Math.PI) / 180
    if (bad)
      layer.add(
        new Konva.Line({
          points: [x, y, x + Math.sin(aim) * 18, y - Math.cos(aim) * 18],
          stroke: '#FDFCF9',
          strokeWidth: 3,
          listening: false,
        }),
        new Konva.Line({
          points: [x, y, x + Math.sin(aim) * 18, y - Math.cos(aim) * 18],
          stroke: '#84550E',
          strokeWidth: 1.2,
          dash: [2, 3],
          listening: false,
        }),
      )
    layer.add(
      new Konva.Arrow({
        points,
        pointerLength: 7,
        pointerWidth: 7,
        stroke: '#FDFCF9',
        fill: '#FDFCF9',
        strokeWidth: 4.5,
        listening: false,
      }),
      new Konva.Arrow({
        points,
        pointerLength: 7,
        pointerWidth: 7,
        stroke: bad ? '#A0331F' : '#3F6B4B',
        fill: bad ? '#A0331F' : '#3F6B4B',
        strokeWidth: 2,
        dash: bad ? [5, 3] : [],
        listening: false,
      }),
    )
  }
}

/** Draws empty patches as numbered circles. */
export function drawSpots(layer: Konva.Layer, spots: readonly EmptySpot[], view: View): void {
  spots.forEach((s, i) => {
    const [x, y] = toScreen(view, s.at)
    const r = Math.max(8, s.radius * view.k)
    layer.add(
      new Konva.Circle({ x, y, radius: r, stroke: '#FDFCF9', strokeWidth: 3, listening: false }),
      new Konva.Circle({
        x,
        y,
        radius: r,
        stroke: MULBERRY,
        strokeWidth: 1.4,
        dash: [4, 4],
        fill: 'rgba(246,244,239,0.25)',
        listening: false,
      }),
    )
    layer.add(
      new Konva.Text({
        x: x - 10,
        y: y - 7,
        width: 20,
        align: 'center',
        text: String(i + 1),
        fontSize: 13,
        fontStyle: 'bold',
        fill: MULBERRY,
        listening: false,
      }),
    )
  })
}
