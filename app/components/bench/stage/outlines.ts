import type { Handles } from './handles'
import { edged, MULBERRY, type Pen } from './ink'

/** Rings one after another: x and y of their points, px of the stage, and the number at which each ends. */
export interface DrawnRings {
  readonly xy: Float32Array
  readonly ends: Uint32Array
}

/** A sheet as it is drawn: its edge, and while it moves its openings too. */
export interface DrawnSheet {
  readonly twin: boolean
  readonly moving: boolean
  readonly edge: DrawnRings
  readonly openings: DrawnRings
}

/** The sheets that are selected, with the handles of the one in hand. */
export interface Outlines {
  readonly sheets: readonly DrawnSheet[]
  /** What the openings of a moving one are filled with. */
  readonly ink: string
  readonly handles: { readonly at: Handles; readonly side: string } | null
  /** Of the stage, px, and how many pixels of the screen go to one of them. */
  readonly size: readonly [number, number]
  readonly fine: number
}

/** Adds rings to a path. */
function follow(c: Pen, { xy, ends }: DrawnRings, closed: boolean): void {
  let i = 0
  for (const end of ends) {
    c.moveTo(xy[i]!, xy[i + 1]!)
    for (i += 2; i < end; i += 2) c.lineTo(xy[i]!, xy[i + 1]!)
    if (closed) c.closePath()
  }
}

function drawSheet(c: Pen, { twin, edge, openings, moving }: DrawnSheet, ink: string): void {
  c.beginPath()
  follow(c, edge, true)
  if (moving) {
    // Neither tint nor dashes: to fill all of a sheet takes a browser as long as all else of a frame.
    edged(c, 3.2, 1.6)
    c.globalAlpha = twin ? 0.35 : 0.6
    c.fillStyle = ink
    c.beginPath()
    // A filled ring closes by itself, and browsers take long to close thousands.
    follow(c, openings, false)
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

/** The handles of the sheet in hand; the one that flips shows the side that lies up. */
function drawHandles(c: Pen, at: Handles, side: string): void {
  const line = (width: number, ...points: Handles['top'][]) => {
    c.beginPath()
    points.forEach(([x, y], n) => (n % 2 ? c.lineTo(x, y) : c.moveTo(x, y)))
    edged(c, width + 2, width)
  }
  const knob = ([x, y]: Handles['top']) => {
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

/** Draws them on a canvas as large as the stage, in the place of what was there. */
export function drawOutlines(c: Pen, { sheets, ink, handles, size, fine }: Outlines): void {
  const width = Math.round(fine * size[0])
  const height = Math.round(fine * size[1])
  // A size that is set clears a canvas, even to what it is; that takes longer than to clear it.
  if (c.canvas.width !== width || c.canvas.height !== height) Object.assign(c.canvas, { width, height })
  c.setTransform(fine, 0, 0, fine, 0, 0)
  c.clearRect(0, 0, ...size)
  for (const sheet of sheets) drawSheet(c, sheet, ink)
  if (handles) drawHandles(c, handles.at, handles.side)
}
