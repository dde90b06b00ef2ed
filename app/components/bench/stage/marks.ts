import Konva from 'konva'
import { boxOf, distance, ringHolds, shareAlong, type Point, type Ring } from '#core/geometry'
import {
  between,
  isMark,
  isOutline,
  kindOf,
  liesOf,
  mostHandles,
  type FlowElement,
  type MarkStep,
  type Step,
  type World,
} from '#core/look'
import type { EmptySpot } from '#core/raster'
import { edged, MULBERRY } from './pen'
import { toScreen, trace, type View } from './view'

/** How near a stroke a tap counts, mm of the skin. */
const NEAR = 1.6

/** What a step covers; a brush of several colours as one. */
function ringsOf(step: Step, world: World): readonly Ring[] {
  const plain: Step =
    step.kind === 'line' && step.load.kind !== 'one'
      ? { ...step, load: { kind: 'one', paint: { id: 'any', name: '', colour: '#000000' } } }
      : step
  return kindOf(plain)
    .prints(plain, { ...world, flat: true, quick: true })
    .flatMap(p => p.rings)
}

function nearRing(ring: Ring, [x, y]: Point): boolean {
  const b = boxOf(ring)
  if (x < b.minX - NEAR || x > b.maxX + NEAR || y < b.minY - NEAR || y > b.maxY + NEAR) return false
  if (ringHolds(ring, x, y)) return true
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const t = shareAlong(x, y, ring[j]!, ring[j + 1]!, ring[i]!, ring[i + 1]!)
    if (
      distance(
        [x, y],
        [ring[j]! + (ring[i]! - ring[j]!) * t, ring[j + 1]! + (ring[i + 1]! - ring[j + 1]!) * t],
      ) < NEAR
    )
      return true
  }
  return false
}

/** Whether a stroke, dot, gem or glitter of a step, or the base on its drawn outline, lies under a point of the skin. */
export const touchesMark = (step: Step, world: World, at: Point): boolean =>
  (step.kind === 'wash' ? step.points.length > 0 : isMark(step) || step.kind === 'lips') &&
  ringsOf(step, world).some(r => nearRing(r, at))

/** The handle of a step under a point of the stage; null when there is none. */
export function handleAt(step: MarkStep, view: View, at: Point): number | null {
  const n = step.points.findIndex(p => distance(toScreen(view, p), at) < 10)
  return n < 0 ? null : n
}

/** Where a closed outline can get one more handle: in the middle between two. */
const gapsIn = (step: MarkStep): Point[] =>
  isOutline(step) && step.points.length < mostHandles(step)
    ? (step.points as Point[]).map((_, i) => between(step.points, i, step.kind === 'wash' && step.straight))
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
          const rings = ringsOf(step, world)
          c.beginPath()
          for (const ring of rings) trace(c, ring, view)
          if (moving) {
            c.fillStyle = 'rgba(122,46,93,0.5)'
            c.fill()
          }
          edged(c, 2.6, 1, 'rgba(255,255,255,0.7)')
        }
        if (!held || held.points.length < 2 || held.kind === 'wash') return
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

/** Draws where every element points, against the way to the focal point: sage where it flows, ochre and broken where it does not. */
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
