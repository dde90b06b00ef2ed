import Konva from 'konva'
import { ringOf, type Point } from '#core/geometry'
import { SEATS_MM, type Laid } from '#core/skin'
import type { Stencil } from '#core/stencil'
import { openingsShape } from './pen'
import { trace, type View } from './view'

/** Draws the sheet's own grid of 10 mm as it comes to lie on the skin. */
export function drawSheetGrid(layer: Konva.Layer, laid: Laid, sheet: Stencil, view: View): void {
  const lines: Float64Array[] = []
  const w = sheet.width / 2
  const h = sheet.height / 2
  const line = (from: Point, to: Point) => {
    const n = Math.max(2, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / 2))
    lines.push(
      laid.ring(
        ringOf(
          Array.from({ length: n + 1 }, (_, i): Point => [
            from[0] + ((to[0] - from[0]) * i) / n,
            from[1] + ((to[1] - from[1]) * i) / n,
          ]),
        ),
      ),
    )
  }
  for (let x = -Math.floor(w / 10) * 10; x <= w; x += 10) line([x, -h], [x, h])
  for (let y = -Math.floor(h / 10) * 10; y <= h; y += 10) line([-w, y], [w, y])
  layer.add(
    new Konva.Shape({
      listening: false,
      sceneFunc(ctx) {
        const c = ctx._context
        c.beginPath()
        for (const l of lines) trace(c, l, view, false)
        c.lineWidth = 2.2
        c.strokeStyle = 'rgba(255,255,255,0.9)'
        c.stroke()
        c.lineWidth = 0.9
        c.strokeStyle = 'rgba(35,32,29,0.9)'
        c.stroke()
      },
    }),
  )
}

/** Gaps between sheet and skin, by colour and pattern: seats plain, a little off dotted, far off crossed. */
export const LIFT_CLASSES = [
  { least: 0, colour: '#3F6B4B', words: `touches the skin (up to ${SEATS_MM} mm)`, pattern: 'plain' },
  { least: SEATS_MM, colour: '#B47A12', words: '0.5 to 1.5 mm off', pattern: 'lines' },
  { least: 1.5, colour: '#A0331F', words: 'more than 1.5 mm off', pattern: 'cross' },
] as const
const liftClass = (gap: number) =>
  LIFT_CLASSES.findLast(c => gap >= c.least && (c.least === 0 || gap > c.least)) ?? LIFT_CLASSES[0]

const patterns = new Map<string, CanvasPattern | string>()
function patternOf(c: CanvasRenderingContext2D, kind: (typeof LIFT_CLASSES)[number]): CanvasPattern | string {
  const known = patterns.get(kind.pattern)
  if (known) return known
  const tile = document.createElement('canvas')
  tile.width = tile.height = 6
  const t = tile.getContext('2d')!
  t.fillStyle = `${kind.colour}66`
  t.fillRect(0, 0, 6, 6)
  t.strokeStyle = kind.colour
  t.lineWidth = 1.4
  t.beginPath()
  if (kind.pattern !== 'plain') {
    t.moveTo(-1, 7)
    t.lineTo(7, -1)
  }
  if (kind.pattern === 'cross') {
    t.moveTo(-1, -1)
    t.lineTo(7, 7)
  }
  t.stroke()
  const made = c.createPattern(tile, 'repeat') ?? kind.colour
  patterns.set(kind.pattern, made)
  return made
}

/** Draws how far each opening stands off the skin. */
export function drawLift(
  layer: Konva.Layer,
  laid: Laid,
  sheet: Stencil,
  gaps: Float64Array,
  view: View,
): void {
  const openings = sheet.openings.map(o => [o.outer, ...o.holes].map(laid.ring))
  layer.add(
    openingsShape(openings, view, (c, n) => {
      if (Number.isNaN(gaps[n])) return false
      const kind = liftClass(gaps[n] ?? 0)
      c.fillStyle = patternOf(c, kind)
      c.lineWidth = 0.8
      c.strokeStyle = kind.colour
      return true
    }),
  )
}
