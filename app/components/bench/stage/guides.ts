import Konva from 'konva'
import type { Point } from '#core/geometry'
import type { NamedLandmark } from '#core/skin'
import { MULBERRY, PAPER } from './ink'
import { rimmedCircle, rimmedLine } from './pen'
import { RULER } from './ruler'
import { toPicture, toScreen, type View } from './view'

const INK = '#5C564E'

/**
 * Draws the ruler along the stage's top and left edge: mm from the midline and from the bridge of the nose.
 */
export function drawRuler(
  layer: Konva.Layer,
  view: View,
  width: number,
  height: number,
  inches: boolean,
): void {
  const unit = inches ? 25.4 : 10
  const small = inches ? 25.4 / 8 : view.k > 4 ? 1 : 5
  const shape = new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      c.fillStyle = '#F6F4EF'
      c.fillRect(0, 0, width, RULER)
      c.fillRect(0, 0, RULER, height)
      c.strokeStyle = '#B9B2A6'
      c.fillStyle = INK
      c.font = '10px "Atkinson Hyperlegible Next Variable", sans-serif'
      c.lineWidth = 1
      c.beginPath()
      const ticks = (from: number, to: number, draw: (v: number, long: boolean) => void) => {
        for (let n = Math.ceil(from / small); n * small <= to; n++) {
          const v = n * small
          draw(v, Math.abs(v / unit - Math.round(v / unit)) < 1e-6)
        }
      }
      const [x0, y0] = toPicture(view, [RULER, RULER])
      const [x1, y1] = toPicture(view, [width, height])
      const label = (v: number) => String(Math.abs(Math.round(v / (inches ? 25.4 : 1))))
      const every = inches ? 1 : view.k > 3.5 ? 10 : 20
      c.textAlign = 'center'
      ticks(x0, x1, (v, long) => {
        const x = view.ox + view.k * v
        c.moveTo(Math.round(x) + 0.5, RULER)
        c.lineTo(Math.round(x) + 0.5, RULER - (long ? 6 : 3))
        if (long && Math.round(v / (inches ? 25.4 : 1)) % every === 0) c.fillText(label(v), x, 9)
      })
      ticks(y0, y1, (v, long) => {
        const y = view.oy + view.k * v
        c.moveTo(RULER, Math.round(y) + 0.5)
        c.lineTo(RULER - (long ? 6 : 3), Math.round(y) + 0.5)
        if (long && Math.round(v / (inches ? 25.4 : 1)) % every === 0) {
          c.save()
          c.translate(9, y)
          c.rotate(-Math.PI / 2)
          c.fillText(label(v), 0, 0)
          c.restore()
        }
      })
      c.stroke()
      c.fillStyle = '#F6F4EF'
      c.fillRect(0, 0, RULER, RULER)
      c.fillStyle = INK
      c.fillText(inches ? 'in' : 'mm', RULER / 2, 12)
    },
  })
  layer.add(shape)
}

/** Landmarks as handles that can be moved to match a person. */
export function drawLandmarkHandles(
  layer: Konva.Layer,
  view: View,
  marks: readonly NamedLandmark[],
  moved: ReadonlySet<string>,
  held: { id: string; at: Point } | null,
): void {
  for (const mark of marks) {
    const [x, y] = toScreen(view, held?.id === mark.id ? held.at : mark.at)
    const hot = held?.id === mark.id
    layer.add(
      new Konva.Circle({
        x,
        y,
        radius: hot ? 7 : 5,
        fill: moved.has(mark.id) ? '#7A2E5D' : '#FDFCF9',
        stroke: moved.has(mark.id) ? '#FDFCF9' : '#7A2E5D',
        strokeWidth: 1.8,
        listening: false,
      }),
    )
    if (hot) {
      const label = new Konva.Label({ x: x + 10, y: y - 24, listening: false })
      label.add(
        new Konva.Tag({ fill: '#23201D', opacity: 0.86, cornerRadius: 5 }),
        new Konva.Text({
          text: mark.words,
          padding: 4,
          fontSize: 13,
          fontFamily: 'Atkinson Hyperlegible Next Variable',
          fill: '#F6F4EF',
        }),
      )
      layer.add(label)
    }
  }
}

/** Midline, landmarks and the focal points. */
export function drawGuides(
  layer: Konva.Layer,
  view: View,
  marks: readonly NamedLandmark[],
  foci: readonly Point[],
  height: number,
): void {
  const [mx] = toScreen(view, [0, 0])
  const midline = rimmedLine({ points: [mx, RULER, mx, height], strokeWidth: 1.2, dash: [6, 5] }, 0)
  for (const shape of midline) layer.add(shape)
  for (const mark of marks) {
    const [x, y] = toScreen(view, mark.at)
    layer.add(
      new Konva.Circle({
        x,
        y,
        radius: 2.4,
        fill: '#FDFCF9',
        stroke: '#23201D',
        strokeWidth: 1,
        listening: false,
      }),
    )
  }
  for (const focus of foci) {
    const [x, y] = toScreen(view, focus)
    layer.add(
      new Konva.Group({ x, y, listening: false }).add(
        ...rimmedCircle({ radius: 6 }),
        new Konva.Circle({ radius: 1.8, fill: MULBERRY, stroke: PAPER, strokeWidth: 0.8 }),
      ),
    )
  }
}
