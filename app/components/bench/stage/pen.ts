import Konva from 'konva'
import type { Ring } from '#core/geometry'
import { edged, MULBERRY, PAPER } from './ink'
import { trace, type View } from './view'

/**
 * A line of a layer in mulberry on a light rim; `config` may give its width and dashes.
 * @param rim how much wider the light is, px: with 0 it fills the gaps between the dashes alone
 */
export function rimmedLine(config: Konva.LineConfig, rim = 2): Konva.Line[] {
  const { strokeWidth = 1.4, dash, fill, ...rest } = config
  const both = { ...rest, listening: false }
  return [
    new Konva.Line({ ...both, stroke: PAPER, strokeWidth: strokeWidth + rim }),
    new Konva.Line({ ...both, stroke: MULBERRY, strokeWidth, dash, fill }),
  ]
}

/** A ring of a layer in mulberry on a light rim. */
export function rimmedCircle(config: Konva.CircleConfig): Konva.Circle[] {
  const { strokeWidth = 1.4, dash, ...rest } = config
  const both = { ...rest, listening: false }
  return [
    new Konva.Circle({ ...both, stroke: PAPER, strokeWidth: strokeWidth + 2 }),
    new Konva.Circle({ ...both, stroke: MULBERRY, strokeWidth, dash }),
  ]
}

/**
 * A layer's shape that fills and strokes each opening of a sheet by itself; `dress` sets what it is filled with,
 * or tells to leave one out.
 */
export function openingsShape(
  openings: readonly (readonly Ring[])[],
  view: View,
  dress: (c: CanvasRenderingContext2D, n: number) => boolean,
): Konva.Shape {
  return new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      openings.forEach((rings, n) => {
        if (!dress(c, n)) return
        c.beginPath()
        for (const ring of rings) trace(c, ring, view)
        c.fill('evenodd')
        edged(c, 2.6, 1.1)
      })
    },
  })
}
