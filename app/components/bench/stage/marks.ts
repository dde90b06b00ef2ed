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
import { edged, MULBERRY, PAPER } from './ink'
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

/**
 * The gap of a closed outline, by the handle before it, under a point of the stage; null when there is none.
 */
export function gapAt(step: MarkStep, view: View, at: Point): number | null {
  const n = gapsIn(step).findIndex(p => distance(toScreen(view, p), at) < 8)
  return n < 0 ? null : n
}

/** What some steps cover, and the way between the handles of the one that is held. */
const coversShape = (
  steps: readonly Step[],
  held: MarkStep | null,
  world: World,
  view: View,
  moving: boolean,
): Konva.Shape =>
  new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      for (const step of steps) {
        c.beginPath()
        for (const ring of kindOf(step).silhouette(step, world)) trace(c, ring, view)
        if (moving) {
          c.fillStyle = 'rgba(122,46,93,0.5)'
          c.fill()
        }
        edged(c, 2.6, 1)
      }
      if (held && held.points.length > 1 && !isBase(held)) drawWay(c, held, world, view)
    },
  })

/** The way between the handles of a step, and of its twin. */
function drawWay(c: CanvasRenderingContext2D, held: MarkStep, world: World, view: View): void {
  for (const [n, lie] of liesOf(held, world.ground).entries()) {
    c.beginPath()
    lie.points.forEach((p, i) => c[i ? 'lineTo' : 'moveTo'](...toScreen(view, p)))
    c.setLineDash([2, 3])
    edged(c, 2.6, n ? 0.8 : 1.2)
  }
  c.setLineDash([])
}

const dot = (at: Point, view: View, look: Omit<Konva.CircleConfig, 'x' | 'y'>): Konva.Circle => {
  const [x, y] = toScreen(view, at)
  return new Konva.Circle({ x, y, listening: false, ...look })
}

/** Draws the marks that a painter goes by: seen while placing, and never painted. */
export function drawGuideSteps(layer: Konva.Layer, steps: readonly Step[], world: World, view: View): void {
  layer.add(
    new Konva.Shape({
      listening: false,
      sceneFunc(ctx) {
        const c = ctx._context
        for (const step of steps) {
          c.beginPath()
          for (const ring of kindOf(step).silhouette(step, world)) trace(c, ring, view)
          c.fillStyle = 'rgba(255,255,255,0.9)'
          c.fill()
          edged(c, 1.2, 1, 'rgba(35,32,29,0.75)')
        }
      },
    }),
  )
}

/** The handles of a step: of an open way the first is filled and the last has a point. */
function handleDots(held: MarkStep, view: View): Konva.Circle[] {
  const open = !isOutline(held)
  return held.points.flatMap((p, i) => {
    const first = open && i === 0
    const last = open && i === held.points.length - 1 && held.points.length > 1
    const [fill, stroke] = first ? [MULBERRY, PAPER] : [PAPER, MULBERRY]
    const handle = dot(p, view, { radius: 5.5, fill, stroke, strokeWidth: 1.8 })
    return last ? [handle, dot(p, view, { radius: 2, fill: MULBERRY })] : [handle]
  })
}

/**
 * Draws what is selected of brushwork above the picture: what it covers, the way between its handles, and the
 * handles themselves.
 */
export function drawMarks(
  layer: Konva.Layer,
  steps: readonly Step[],
  held: MarkStep | null,
  world: World,
  view: View,
  moving: boolean,
): void {
  layer.add(coversShape(steps, held, world, view, moving))
  if (!held) return
  const more = { radius: 3.2, fill: PAPER, stroke: MULBERRY, strokeWidth: 1.2 }
  const between = moving ? [] : gapsIn(held).map(p => dot(p, view, more))
  for (const shape of [...between, ...handleDots(held, view)]) layer.add(shape)
}
