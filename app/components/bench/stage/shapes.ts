import Konva from 'konva'
import type { Point } from '#core/geometry'
import type { HeldLoop } from '~/composables/useLoops'
import type { SnapLine } from '#core/look'
import { endsOf, type HeldAxis } from '~/stores/gradient'
import { MULBERRY, PAPER, rimmedCircle, rimmedLine } from './pen'
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
  const points = line.flatMap(p => toScreen(view, p))
  const [x, y] = toScreen(view, line[Math.floor(line.length / 2)]!)
  const label = new Konva.Label({ x: x + 8, y: y - 26, listening: false })
  label.add(
    new Konva.Tag({ fill: '#23201D', opacity: 0.86, cornerRadius: 5 }),
    new Konva.Text({
      text: `at ${words}`,
      padding: 4,
      fontSize: 12,
      fontFamily: 'Atkinson Hyperlegible Next Variable',
      fill: PAPER,
    }),
  )
  layer.add(
    new Konva.Line({ points, stroke: PAPER, strokeWidth: 4, listening: false }),
    new Konva.Line({ points, stroke: MULBERRY, strokeWidth: 2, dash: [5, 3], listening: false }),
    label,
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
