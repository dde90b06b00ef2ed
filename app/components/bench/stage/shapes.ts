import Konva from 'konva'
import type { Point } from '#core/geometry'
import type { HeldLoop } from '~/composables/useLoops'
import type { SnapLine } from '#core/look'
import { endsOf, type HeldAxis } from '~/stores/gradient'
import { MULBERRY, PAPER } from './ink'
import { rimmedCircle, rimmedLine } from './pen'
import { toScreen, type View } from './view'

/** Draws a drawn shape of the selected step, with the knob in its middle that moves it. */
export function drawHeldLoop(layer: Konva.Layer, { points, middle, free }: HeldLoop, view: View): void {
  const [x, y] = toScreen(view, middle)
  layer.add(
    new Konva.Line({
      points: points.flatMap(p => toScreen(view, p)),
      closed: true,
      stroke: MULBERRY,
      strokeWidth: 1.2,
      dash: free ? [2, 3] : [6, 3],
      listening: false,
    }),
    new Konva.Circle({ x, y, radius: 7, fill: PAPER, stroke: MULBERRY, strokeWidth: 1.4, listening: false }),
    new Konva.Line({
      points: [x - 4, y, x + 4, y],
      stroke: MULBERRY,
      strokeWidth: 1.2,
      listening: false,
    }),
    new Konva.Line({
      points: [x, y - 4, x, y + 4],
      stroke: MULBERRY,
      strokeWidth: 1.2,
      listening: false,
    }),
  )
}

/** Draws the line to which a sheet was drawn, with what it is. */
export function drawSnap(layer: Konva.Layer, { line, words }: SnapLine, view: View): void {
  const points = line.map(p => toScreen(view, p))
  const [x, y] = points[Math.floor(points.length / 2)]!
  const told = `at ${words}`
  // One shape drawn by hand: a label of the library's is measured and drawn apart, within a frame of the drag.
  layer.add(
    new Konva.Shape({
      name: 'snap',
      listening: false,
      sceneFunc(ctx) {
        const c = ctx._context
        c.beginPath()
        points.forEach((at, n) => (n ? c.lineTo(...at) : c.moveTo(...at)))
        c.lineWidth = 4
        c.strokeStyle = PAPER
        c.stroke()
        c.setLineDash([5, 3])
        c.lineWidth = 2
        c.strokeStyle = MULBERRY
        c.stroke()
        c.font = "12px 'Atkinson Hyperlegible Next Variable'"
        c.textBaseline = 'middle'
        c.beginPath()
        c.roundRect(x + 8, y - 26, c.measureText(told).width + 8, 20, 5)
        c.fillStyle = 'rgba(35,32,29,0.86)'
        c.fill()
        c.fillStyle = PAPER
        c.fillText(told, x + 12, y - 15.5)
      },
    }),
  )
}

/** Draws along what colours run: a filled knob where they begin, an open one where they end. */
export function drawAxis(layer: Konva.Layer, axis: HeldAxis, view: View): void {
  const [from, to] = endsOf(axis).map(p => toScreen(view, p)) as [[number, number], [number, number]]
  if (axis.kind === 'out')
    layer.add(
      ...rimmedCircle({
        x: from[0],
        y: from[1],
        radius: view.k * axis.reach,
        strokeWidth: 1,
        dash: [3, 4],
      }),
    )
  layer.add(...rimmedLine({ points: [...from, ...to] }))
  for (const [[x, y], fill] of [
    [from, MULBERRY],
    [to, PAPER],
  ] as const)
    layer.add(
      new Konva.Rect({
        x: x - 5.5,
        y: y - 5.5,
        width: 11,
        height: 11,
        cornerRadius: 2,
        fill,
        stroke: fill === MULBERRY ? PAPER : MULBERRY,
        strokeWidth: 1.8,
        listening: false,
      }),
    )
}

/** Draws the tape between two points, with a mark at both ends. */
export function drawTape(layer: Konva.Layer, ends: readonly [Point, Point], view: View): void {
  const [a, b] = ends.map(p => toScreen(view, p)) as [[number, number], [number, number]]
  layer.add(
    new Konva.Line({ points: [...a, ...b], stroke: PAPER, strokeWidth: 5, opacity: 0.85, listening: false }),
    new Konva.Line({
      points: [...a, ...b],
      stroke: '#23201D',
      strokeWidth: 1.6,
      dash: [5, 3],
      listening: false,
    }),
  )
  for (const [x, y] of [a, b])
    layer.add(
      new Konva.Circle({
        x,
        y,
        radius: 3.5,
        fill: PAPER,
        stroke: '#23201D',
        strokeWidth: 1.4,
        listening: false,
      }),
    )
}

/** Draws the loop that the hand draws around openings. */
export function drawLoop(layer: Konva.Layer, loop: readonly Point[], view: View): void {
  const points = loop.flatMap(p => toScreen(view, p))
  const line = rimmedLine({ points, closed: true, dash: [4, 3], fill: 'rgba(122,46,93,0.12)' })
  for (const shape of line) layer.add(shape)
}

/** The centre of a half turn: two arrows round a point, with what it is. */
export function drawHalfTurn(on: Konva.Layer, at: Point, view: View): void {
  const [x, y] = toScreen(view, at)
  const arc = (rotation: number) =>
    new Konva.Arc({ innerRadius: 9, outerRadius: 11.5, angle: 130, rotation, fill: MULBERRY })
  const group = new Konva.Group({ x, y, listening: false })
  group.add(
    new Konva.Circle({ radius: 14, fill: PAPER, opacity: 0.85 }),
    arc(-65),
    arc(115),
    new Konva.Circle({ radius: 3, fill: MULBERRY, stroke: PAPER, strokeWidth: 1 }),
    new Konva.Text({
      x: 17,
      y: -7,
      text: 'centre of the half turn',
      fontSize: 13,
      fontFamily: 'Atkinson Hyperlegible Next Variable',
      fill: MULBERRY,
      stroke: PAPER,
      strokeWidth: 3,
      fillAfterStrokeEnabled: true,
    }),
  )
  on.add(group)
}
