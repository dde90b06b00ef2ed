import Konva from 'konva'
import { polygonHolds, type Point, type Ring } from '#core/geometry'
import type { SheetOutline, SheetStep, World } from '#core/look'
import { kindOf } from '#core/look'
import { layOn } from '#core/skin'
import { toScreen, type View } from './view'

const MULBERRY = '#7A2E5D'

function trace(c: CanvasRenderingContext2D, ring: Ring, view: View): void {
  for (let i = 0; i < ring.length; i += 2) {
    const [x, y] = toScreen(view, [ring[i]!, ring[i + 1]!])
    if (i) c.lineTo(x, y)
    else c.moveTo(x, y)
  }
  c.closePath()
}

/** One sheet as it lies on the skin: its edge, and while it moves its openings too. */
function outlineShape(outline: SheetOutline, view: View, moving: boolean): Konva.Shape {
  return new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      c.beginPath()
      trace(c, outline.ring, view)
      c.fillStyle = outline.twin ? 'rgba(246,244,239,0.06)' : 'rgba(246,244,239,0.12)'
      c.fill()
      c.setLineDash(outline.twin ? [5, 4] : [])
      c.lineWidth = 3
      c.strokeStyle = 'rgba(255,255,255,0.75)'
      c.stroke()
      c.lineWidth = 1.4
      c.strokeStyle = MULBERRY
      c.stroke()
      if (!moving) return
      c.beginPath()
      for (const ring of outline.openings) trace(c, ring, view)
      c.fillStyle = outline.twin ? 'rgba(122,46,93,0.28)' : 'rgba(122,46,93,0.5)'
      c.fill('evenodd')
    },
  })
}

export interface Handles { turn: Point, flip: Point }

/** Where a sheet's handles stand on the stage: turning above its top edge, flipping off its right edge. */
export function handlesOf(step: SheetStep, world: World, view: View): Handles | null {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  const laid = layOn(step), reach = 16 / view.k
  return { turn: toScreen(view, laid.point([0, -sheet.height / 2 - reach])), flip: toScreen(view, laid.point([sheet.width / 2 + reach, 0])) }
}

/** Draws every opening of a sheet with those that a pass paints filled, for choosing them. */
export function drawChoice(layer: Konva.Layer, step: SheetStep, painted: ReadonlySet<number>, world: World, view: View): void {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return
  const laid = layOn(step)
  layer.add(new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      sheet.openings.forEach((opening, n) => {
        c.beginPath()
        for (const ring of [opening.outer, ...opening.holes]) trace(c, laid.ring(ring), view)
        c.fillStyle = painted.has(n) ? 'rgba(122,46,93,0.55)' : 'rgba(253,252,249,0.45)'
        c.fill('evenodd')
        c.lineWidth = 1
        c.strokeStyle = MULBERRY
        c.stroke()
      })
    },
  }))
}

/** The opening of a step's sheet under a point of the skin; null beside them all. */
export function openingAt(step: SheetStep, world: World, at: Point): number | null {
  const [x, y] = layOn(step).back(at), n = world.stencil(step.stencil)?.openings.findIndex(o => polygonHolds(o, x, y)) ?? -1
  return n < 0 ? null : n
}

/** Draws the selected sheet above the picture: outline, twin's ghost, and its handles. */
export function drawSelection(layer: Konva.Layer, step: SheetStep, world: World, view: View, moving: boolean): void {
  for (const outline of kindOf(step).outlines(step, world)) layer.add(outlineShape(outline, view, moving))
  const handles = handlesOf(step, world, view), sheet = world.stencil(step.stencil)
  if (!handles || !sheet) return
  const top = toScreen(view, layOn(step).point([0, -sheet.height / 2]))
  layer.add(new Konva.Line({ points: [...top, ...handles.turn], stroke: MULBERRY, strokeWidth: 1.4, listening: false }))
  layer.add(new Konva.Circle({ x: handles.turn[0], y: handles.turn[1], radius: 8, fill: '#FDFCF9', stroke: MULBERRY, strokeWidth: 1.6, listening: false }))
  layer.add(new Konva.Arc({ x: handles.turn[0], y: handles.turn[1], innerRadius: 3.6, outerRadius: 3.6, angle: 270, rotation: -60, stroke: MULBERRY, strokeWidth: 1.5, listening: false }))
  layer.add(new Konva.Circle({ x: handles.flip[0], y: handles.flip[1], radius: 8, fill: '#FDFCF9', stroke: MULBERRY, strokeWidth: 1.6, listening: false }))
  layer.add(new Konva.Text({ x: handles.flip[0] - 8, y: handles.flip[1] - 5.5, width: 16, align: 'center', text: step.side, fontSize: 11, fontStyle: 'bold', fill: MULBERRY, listening: false }))
  const [cx, cy] = toScreen(view, step.at)
  layer.add(new Konva.Line({ points: [cx - 5, cy, cx + 5, cy], stroke: MULBERRY, strokeWidth: 1.2, listening: false }))
  layer.add(new Konva.Line({ points: [cx, cy - 5, cx, cy + 5], stroke: MULBERRY, strokeWidth: 1.2, listening: false }))
}
