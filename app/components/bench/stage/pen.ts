import Konva from 'konva'
import type { Ring } from '#core/geometry'
import { trace, type View } from './view'

export const MULBERRY = '#7A2E5D'

/** Strokes the path that is drawn in mulberry with a light rim, so that it shows on every colour of paint. */
export function edged(
  c: CanvasRenderingContext2D,
  rim: number,
  line: number,
  light = 'rgba(255,255,255,0.75)',
): void {
  c.lineWidth = rim
  c.strokeStyle = light
  c.stroke()
  c.lineWidth = line
  c.strokeStyle = MULBERRY
  c.stroke()
}

/**
 * A layer's shape that fills and strokes each opening of a sheet by itself; `dress` sets the colours, or
 * tells to leave one out.
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
        c.stroke()
      })
    },
  })
}
