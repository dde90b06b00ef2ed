import Konva from 'konva'
import type { Point } from '#core/geometry'
import { kindOf, placementsOf, type SheetOutline, type SheetStep, type World } from '#core/look'
import { layOn, type Placement } from '#core/skin'
import type { Stencil } from '#core/stencil'
import { edged, MULBERRY, PAPER, rimmedLine } from './pen'
import { toScreen, trace, type View } from './view'

/** One sheet as it lies on the skin: its edge, and while it moves its openings too. */
function outlineShape(outline: SheetOutline, view: View, moving: boolean, dark: boolean): Konva.Shape {
  return new Konva.Shape({
    listening: false,
    sceneFunc(ctx) {
      const c = ctx._context
      c.beginPath()
      trace(c, outline.ring, view)
      c.fillStyle = outline.twin ? 'rgba(246,244,239,0.06)' : 'rgba(246,244,239,0.12)'
      c.fill()
      if (!moving) {
        c.setLineDash(outline.twin ? [5, 4] : [])
        edged(c, 3, 1.4)
        return
      }
      // Dashes take a browser longer than all else of a frame; what moves does without.
      edged(c, 3.2, 1.6)
      c.globalAlpha = outline.twin ? 0.35 : 0.6
      c.fillStyle = dark ? PAPER : MULBERRY
      c.beginPath()
      // A filled ring closes by itself, and browsers take long to close thousands.
      for (const ring of outline.openings) trace(c, ring, view, false)
      c.fill('evenodd')
      c.globalAlpha = 1
    },
  })
}

export interface Handles {
  readonly turn: Point
  readonly flip: Point
  readonly top: Point
  readonly middle: Point
}

/**
 * Where a sheet's handles stand on the stage: turning above its top edge, flipping off its right edge, both
 * where the sheet goes on in the air.
 */
export function handlesOf(placement: Placement, world: World, sheet: Stencil, view: View): Handles {
  const laid = layOn(world.ground.surface, placement, true)
  const top = toScreen(view, laid.point([0, -sheet.height / 2]))
  const right = toScreen(view, laid.point([sheet.width / 2, 0]))
  const middle = toScreen(view, laid.point([0, 0]))
  const beyond = (p: Point): Point => {
    const dx = p[0] - middle[0]
    const dy = p[1] - middle[1]
    const l = Math.hypot(dx, dy) || 1
    return [p[0] + (dx / l) * 16, p[1] + (dy / l) * 16]
  }
  return { turn: beyond(top), flip: beyond(right), top, middle }
}

/** Draws the edges of a step's sheet and its twin. */
export const drawOutlines = (layer: Konva.Layer, step: SheetStep, world: World, view: View): void =>
  kindOf(step)
    .outlines(step, world)
    .forEach(o => layer.add(outlineShape(o, view, false, false)))

/** A round handle. */
const knob = ([x, y]: Point): Konva.Circle =>
  new Konva.Circle({ x, y, radius: 8, fill: '#FDFCF9', stroke: MULBERRY, strokeWidth: 1.6, listening: false })
const thin = (points: number[], strokeWidth: number): Konva.Line[] => rimmedLine({ points, strokeWidth })

/** The handle that turns: on a stem above the sheet's top edge, with an arrow's arc in it. */
function turnHandle({ top, turn }: Handles): Konva.Shape[] {
  const [x, y] = turn
  const arc = new Konva.Arc({
    x,
    y,
    innerRadius: 3.6,
    outerRadius: 3.6,
    angle: 270,
    rotation: -60,
    stroke: MULBERRY,
    strokeWidth: 1.5,
    listening: false,
  })
  return [...thin([...top, ...turn], 1.4), knob(turn), arc]
}

/** The handle that flips, with the side that lies up on it. */
function flipHandle({ flip }: Handles, side: string): Konva.Shape[] {
  const text = new Konva.Text({
    x: flip[0] - 8,
    y: flip[1] - 5.5,
    width: 16,
    align: 'center',
    text: side,
    fontSize: 11,
    fontStyle: 'bold',
    fill: MULBERRY,
    listening: false,
  })
  return [knob(flip), text]
}

/**
 * Draws the selected sheet above the picture: outline, twin's ghost, and the handles of the one that is held.
 * @param dark whether the skin is so dark that what moves shows better in light
 */
export function drawSelection(
  layer: Konva.Layer,
  step: SheetStep,
  world: World,
  view: View,
  moving: boolean,
  holdsTwin: boolean,
  dark: boolean,
): void {
  for (const outline of kindOf(step).outlines(step, world))
    layer.add(outlineShape(outline, view, moving, dark))
  const held = placementsOf(step, world)[holdsTwin ? 1 : 0]
  const sheet = world.stencil(step.stencil)
  if (!held || !sheet) return
  const handles = handlesOf(held, world, sheet, view)
  const [cx, cy] = handles.middle
  const cross = [...thin([cx - 5, cy, cx + 5, cy], 1.2), ...thin([cx, cy - 5, cx, cy + 5], 1.2)]
  for (const shape of [...turnHandle(handles), ...flipHandle(handles, held.side), ...cross]) layer.add(shape)
}

/** Draws the loop that the hand draws around openings. */
export function drawLoop(layer: Konva.Layer, loop: readonly Point[], view: View): void {
  const points = loop.flatMap(p => toScreen(view, p))
  const line = rimmedLine({ points, closed: true, dash: [4, 3], fill: 'rgba(122,46,93,0.12)' })
  for (const shape of line) layer.add(shape)
}
