import { boxOf, EMPTY_BOX, ringOf, type Box, type Point, type Ring } from '#core/geometry'
import { kindOf, type SheetStep, type World } from '#core/look'
import type { Handles } from './handles'
import { edged, MULBERRY, PAPER } from './pen'
import { trace, type View } from './view'

/** A sheet as it lies on the skin: its edge, and while it moves its openings too. */
interface DrawnSheet {
  readonly twin: boolean
  readonly edge: Ring
  readonly openings: readonly Ring[]
  readonly moving: boolean
}

/** A step's sheet and its twin; while they move with their openings. */
export const drawnSheets = (step: SheetStep, world: World, moving: boolean): DrawnSheet[] =>
  kindOf(step)
    .outlines(step, world)
    .map(({ twin, ring, openings }) => ({ twin, edge: ring, openings: moving ? openings : [], moving }))

/** Handles are drawn so far about their middles, px. */
const KNOB = 12
/** So much more room is kept around what is drawn, px: hands move on. */
const ROOM = 40
/** Room that could be spared before it is taken back, px across and down together. */
const SPARE = 240

/**
 * The part of the stage that some sheets and their handles need, px; the present one for as long as it serves, since
 * a canvas that is moved or made anew costs a frame more.
 * @param size of the stage, px: nothing is drawn past it
 */
export function roomFor(
  sheets: readonly DrawnSheet[],
  handles: Handles | null,
  { k, ox, oy, front }: View,
  [width, height]: readonly [number, number],
  present: Readonly<Box>,
): Readonly<Box> {
  const lie = sheets.reduce<Readonly<Box>>((box, { edge }) => boxOf(front.ring(edge), box), EMPTY_BOX)
  const ends: Point[] = [
    [ox + k * lie.minX, oy + k * lie.minY],
    [ox + k * lie.maxX, oy + k * lie.maxY],
    ...(handles ? [handles.turn, handles.flip, handles.middle] : []),
  ]
  const { minX, minY, maxX, maxY } = boxOf(ringOf(ends))
  const within = (by: number): Box => ({
    minX: Math.max(0, Math.floor(minX - by)),
    minY: Math.max(0, Math.floor(minY - by)),
    maxX: Math.min(width, Math.ceil(maxX + by)),
    maxY: Math.min(height, Math.ceil(maxY + by)),
  })
  const least = within(KNOB)
  const across = (b: Readonly<Box>): number => b.maxX - b.minX + b.maxY - b.minY
  const serves =
    present.minX <= least.minX &&
    present.minY <= least.minY &&
    present.maxX >= least.maxX &&
    present.maxY >= least.maxY
  return serves && across(present) - across(least) < SPARE ? present : within(KNOB + ROOM)
}

/**
 * Draws a sheet.
 * @param ink what the openings of a moving one are filled with
 */
export function drawSheet(c: CanvasRenderingContext2D, sheet: DrawnSheet, view: View, ink: string): void {
  const { twin, edge, openings, moving } = sheet
  c.beginPath()
  trace(c, edge, view)
  if (moving) {
    // Neither tint nor dashes: to fill all of a sheet takes a browser as long as all else of a frame.
    edged(c, 3.2, 1.6)
    c.globalAlpha = twin ? 0.35 : 0.6
    c.fillStyle = ink
    c.beginPath()
    // A filled ring closes by itself, and browsers take long to close thousands.
    for (const ring of openings) trace(c, ring, view, false)
    c.fill('evenodd')
    c.globalAlpha = 1
    return
  }
  c.fillStyle = twin ? 'rgba(246,244,239,0.06)' : 'rgba(246,244,239,0.12)'
  c.fill()
  c.setLineDash(twin ? [5, 4] : [])
  edged(c, 3, 1.4)
  c.setLineDash([])
}

/** Draws the handles of the sheet in hand; the one that flips shows the side that lies up. */
export function drawHandles(c: CanvasRenderingContext2D, at: Handles, side: string): void {
  const line = (width: number, ...points: Point[]) => {
    c.beginPath()
    points.forEach(([x, y], n) => (n % 2 ? c.lineTo(x, y) : c.moveTo(x, y)))
    edged(c, width + 2, width)
  }
  const knob = ([x, y]: Point) => {
    c.beginPath()
    c.arc(x, y, 8, 0, 2 * Math.PI)
    c.fillStyle = '#FDFCF9'
    c.fill()
    c.lineWidth = 1.6
    c.strokeStyle = MULBERRY
    c.stroke()
  }
  line(1.4, at.top, at.turn)
  knob(at.turn)
  // An arrow's way three quarters round.
  c.beginPath()
  c.arc(...at.turn, 3.6, -Math.PI / 3, (7 * Math.PI) / 6)
  c.lineWidth = 1.5
  c.stroke()
  knob(at.flip)
  c.fillStyle = MULBERRY
  c.font = 'bold 11px Arial, sans-serif'
  c.textAlign = 'center'
  c.textBaseline = 'middle'
  c.fillText(side, ...at.flip)
  const [x, y] = at.middle
  line(1.2, [x - 5, y], [x + 5, y], [x, y - 5], [x, y + 5])
}

/** What the openings of a moving sheet are filled with, as it shows best on the skin. */
export const inkOn = (dark: boolean): string => (dark ? PAPER : MULBERRY)
