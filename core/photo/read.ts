import { boxOf, mapCurve, type Curve, type Point, type Ring } from '../geometry'
import { blankDraft, type Draft, type DraftOpening } from '../draft'
import { regionsAbove } from './contours'
import { levelled, levelFineness, type Frame, type Levelled } from './frame'
import { evened, partedIn, type Evened } from './light'
import type { Inside } from './tips'
import { edgesAlong, evenly, outlineOf, type Edges } from './outlines'
import { openShare, piecesOf, RIM_MM, withoutCorners, type Piece } from './pieces'
import { blurred, channelOf, valueAt, type Channel, type Picture, type Plane, type Progress } from './picture'

/** What the four corners, or the marks, of a frame are: the sheet's own edges, or what lies under it. */
export type FrameOf = 'sheet' | 'ground'

/** A picture seen from above, with the light taken out: 0 where there is sheet, 1 where there is none. */
export interface Prepared {
  readonly picture: Levelled
  readonly frame: Frame
  readonly frameOf: FrameOf
  readonly open: Plane
  readonly parted: number
  readonly contrast: number
  readonly noise: number
  /** Whether the sheet is darker than what shows through it. */
  readonly darkSheet: boolean
}

/** Where the border of a frame is looked at to tell sheet from ground, mm inside it. */
const BORDER_MM = [0.8, 2.6] as const

/** The mean of a plane in a strip inside its edge. */
function borderOf({ width, height, values }: Plane, fineness: number): number {
  const [from, to] = BORDER_MM.map(mm => Math.round(mm * fineness)) as [number, number]
  const found: number[] = []
  for (let j = from; j < height - from; j += 2)
    for (let i = from; i < width - from; i += 2) {
      if (i >= to && i < width - to && j >= to && j < height - to) {
        i = width - to - 1
        continue
      }
      found.push(values[j * width + i]!)
    }
  found.sort((a, b) => a - b)
  return found[found.length >> 1] ?? 0
}

/** The channel in which sheet and ground differ most clearly; plain lightness unless another is far better. */
function clearest(picture: Picture): Evened {
  const few = thinned(picture)
  const tries = CHANNELS.map(channel => ({ channel, parted: partedIn(channelOf(few, channel)) }))
  const best = tries.reduce((a, b) => (b.parted > a.parted + 0.015 ? b : a))
  return evened(channelOf(picture, best.channel))
}

const CHANNELS: readonly Channel[] = ['luma', 'least', 'most']

/** Every few rows and columns of a picture: enough to compare channels by. */
function thinned({ width, height, data }: Picture): Picture {
  const by = Math.max(1, Math.round(Math.sqrt((width * height) / 250_000)))
  const w = Math.floor(width / by)
  const h = Math.floor(height / by)
  const out = new Uint8ClampedArray(4 * w * h)
  for (let j = 0, o = 0; j < h; j++)
    for (let i = 0; i < w; i++, o += 4) {
      const k = 4 * (j * by * width + i * by)
      for (let c = 0; c < 4; c++) out[o + c] = data[k + c]!
    }
  return { width: w, height: h, data: out }
}

/** Less than this parts sheet from ground too little to be read. */
const LEAST_PARTED = 0.6

/**
 * Takes perspective and light out of a picture.
 * @param dark whether the sheet is darker than what shows through it; null tells by the frame's border
 * @throws RangeError with a sentence when sheet and ground cannot be told apart
 */
export function prepare(
  picture: Picture,
  frame: Frame,
  frameOf: FrameOf,
  dark: boolean | null,
  onProgress: Progress = () => {},
): Prepared {
  const fineness = levelFineness(frame, 0)
  if (!(fineness >= 3))
    throw new RangeError(
      `The picture has only ${fineness.toFixed(1)} pixels to the millimetre; 5 at least are needed to read a sheet. Go nearer, or scan it at 200 dpi or more.`,
    )
  const flat = levelled(picture, frame, fineness, 0, done => onProgress('taking perspective out', 0.4 * done))
  onProgress('evening the light', 0.4)
  const { width, height, values, parted, contrast, noise } = clearest(flat)
  if (parted < LEAST_PARTED)
    throw new RangeError(
      'The stencil and what lies under it look alike. Lay a dark stencil on white paper, and a clear or light one on black.',
    )
  onProgress('evening the light', 0.7)
  const bright = borderOf({ width, height, values }, fineness) > 0.5
  const darkSheet = dark ?? (frameOf === 'sheet' ? !bright : bright)
  if (!darkSheet) for (let k = 0; k < values.length; k++) values[k] = 1 - values[k]!
  return {
    picture: flat,
    frame,
    frameOf,
    open: { width, height, values },
    parted,
    contrast,
    noise,
    darkSheet,
  }
}

/** What may be chosen when openings are read. */
export interface ReadChoices {
  /** How light counts as open, 0 (sheet) to 1 (open); half way is the middle between the two means. */
  readonly level: number
  /** Openings and loose pieces smaller than this are dropped, mm2. */
  readonly speck: number
}

export const READ_CHOICES: ReadChoices = { level: 0.5, speck: 0.1 }

/** A sheet read from a picture, and where its middle lies in the frame, mm. */
export interface SheetFound {
  readonly draft: Draft
  readonly middle: Point
}

/** What was read from a picture. */
export interface Reading {
  readonly sheets: readonly SheetFound[]
  /** Width of an edge from a tenth to nine tenths, mm: how sharp the photograph is. */
  readonly edgeMm: number
  /** Openings and pieces that were dropped as specks. */
  readonly dropped: number
}

/** Edges wider than this cannot be read: the finest bridges are half a millimetre. */
const WIDEST_EDGE_MM = 0.9
/** A Gaussian edge rises from a tenth to nine tenths within this many sigma. */
const TENTHS = 2.563
/** Share of soft edges from which on something lies over the sheet that is not cut. */
const MOST_SOFT = 0.22
/** A sheet that is more open than this would fall apart. */
const MOST_OPEN = 0.82

/** Round the inside of the paper's edge there is paper, mm. */
const GROUND_RIM_MM = 1.5

/** Blur that calms the grain, pixels. */
const calming = (noise: number): number => Math.min(2, Math.max(0.8, 14 * noise))

/** A copy of a plane whose outermost `by` pixels have one value, so that nothing runs off. */
function rimmed(plane: Plane, by: number, value: number): Plane {
  const { width, height } = plane
  const values = Float32Array.from(plane.values)
  for (let j = 0; j < height; j++)
    if (j < by || j >= height - by) values.fill(value, j * width, (j + 1) * width)
    else {
      values.fill(value, j * width, j * width + by)
      values.fill(value, (j + 1) * width - by, (j + 1) * width)
    }
  return { width, height, values }
}

function checkEdges(edges: Edges | null, fineness: number, calm: number): number {
  if (!edges)
    throw new RangeError(
      'No opening was found. Check the corners and the threshold, and whether the stencil is the darker or the lighter of the two.',
    )
  const own = Math.sqrt(Math.max(0, edges.sigma ** 2 - calm ** 2))
  const edgeMm = (TENTHS * own) / fineness
  if (edgeMm > WIDEST_EDGE_MM)
    throw new RangeError(
      `The photograph is too blurred: an edge is ${edgeMm.toFixed(1)} mm wide in it, and up to ${WIDEST_EDGE_MM} mm can be read. Hold still, tap the stencil to focus, and take it again.`,
    )
  if (edges.soft > MOST_SOFT)
    throw new RangeError(
      `Along ${Math.round(100 * edges.soft)} % of what looks like an edge the light only fades: a reflection or a shadow lies over the sheet. Move the lamp, or take it in daylight from a window.`,
    )
  return edgeMm
}

/** Throws RangeError with a sentence when a sheet reaches the edge of what it lies on. */
function checkInside(pieces: readonly Piece[], { width, height }: Frame, fineness: number): void {
  const near = (GROUND_RIM_MM + 0.4) * fineness
  for (const { outer } of pieces) {
    const box = boxOf(outer)
    const off = [
      box.minX < near && 'left',
      box.maxX > width * fineness - near && 'right',
      box.minY < near && 'top',
      box.maxY > height * fineness - near && 'bottom',
    ].filter(Boolean)
    if (off.length)
      throw new RangeError(
        `A stencil reaches past the paper's edge at the ${off.join(' and the ')}, or what lies round it is taken for one. Lay it further in, and check the corners and which of the two is darker.`,
      )
  }
}

/** What openings are read from: how open each place is, and how blurred that is, pixels. */
interface Seen {
  readonly plane: Plane
  readonly sigma: number
}

/** The draft of one piece of sheet; `at` brings pixels to the frame's mm. */
function draftFrom(piece: Piece, prepared: Prepared, seen: Seen, corners: Draft | null): SheetFound {
  const { fineness } = prepared.picture
  const open = (x: number, y: number): number => valueAt(seen.plane, x, y)
  const sheet = (x: number, y: number): number => 1 - valueAt(seen.plane, x, y)
  const outlined = (ring: Ring, inside: Inside): Curve => outlineOf(ring, seen.sigma, fineness, inside)
  const box = corners
    ? { minX: 0, minY: 0, maxX: prepared.frame.width * fineness, maxY: prepared.frame.height * fineness }
    : boxOf(piece.outer)
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  const place = ([x, y]: Point): Point => [(x - middle[0]) / fineness, (y - middle[1]) / fineness]
  const opening = ({ outer, loose }: Piece['openings'][number]): DraftOpening => ({
    outer: mapCurve(outlined(outer, open), place),
    holes: loose.map(ring => mapCurve(outlined(ring, sheet), place)),
  })
  return {
    middle: [middle[0] / fineness, middle[1] / fineness],
    draft: {
      width: (box.maxX - box.minX) / fineness,
      height: (box.maxY - box.minY) / fineness,
      outline: corners ? corners.outline : mapCurve(outlined(piece.outer, sheet), place),
      openings: piece.openings.map(opening),
    },
  }
}

/** Sheets from left to right and from the top down, as one reads. */
const asRead = (a: SheetFound, b: SheetFound): number => {
  const apart = a.middle[1] - b.middle[1]
  return Math.abs(apart) > Math.min(a.draft.height, b.draft.height) / 2 ? apart : a.middle[0] - b.middle[0]
}

/**
 * Reads the openings of the sheet, or the sheets, in a prepared picture.
 * @throws RangeError with a sentence when the picture is too blurred or grainy, something lies over the sheet,
 *   or nothing is open
 */
export function readOpenings(
  prepared: Prepared,
  choices: ReadChoices = READ_CHOICES,
  onProgress: Progress = () => {},
): Reading {
  const { open, picture, frame, frameOf } = prepared
  const { fineness } = picture
  const calm = calming(prepared.noise)
  onProgress('following edges', 0.72)
  const sheetFrame = frameOf === 'sheet'
  // The sheet's own edge is known from its corners; round a sheet on paper there is paper.
  const calmed = rimmed(
    blurred(open, calm),
    Math.round((sheetFrame ? RIM_MM : GROUND_RIM_MM) * fineness),
    sheetFrame ? 0 : 1,
  )
  const sheetness: Plane = { ...calmed, values: calmed.values.map(v => 1 - v) }
  const sorted = piecesOf(regionsAbove(sheetness, 1 - choices.level), fineness, choices.speck)
  const whole = sorted.pieces.slice(0, 1).map(piece => withoutCorners(piece, frame, fineness))
  const found = sheetFrame ? whole.map(w => w.piece) : sorted.pieces
  if (!found.length)
    throw new RangeError(
      'No stencil was found between the corners. Check whether the stencil is the darker or the lighter of the two.',
    )
  if (!sheetFrame) checkInside(found, frame, fineness)
  onProgress('drawing outlines', 0.8)
  const rings = found.flatMap(p => p.openings.map(o => o.outer))
  const edges = edgesAlong(calmed, rings.length ? rings : sheetFrame ? [] : found.map(p => p.outer))
  const small =
    edges ??
    (rings.length
      ? edgesAlong(
          calmed,
          rings.map(r => evenly(r, 0.5)),
        )
      : null)
  const edgeMm = checkEdges(small, fineness, calm)
  if (openShare(found) > MOST_OPEN)
    throw new RangeError(
      `${Math.round(100 * openShare(found))} % of the stencil would be open: a reflection lies over it, or stencil and ground are taken for one another. Move the lamp, or swap dark and light.`,
    )
  const corners = sheetFrame ? blankDraft(frame.width, frame.height, whole[0]!.radius) : null
  const sheets = found.map((piece, k) => {
    onProgress('drawing outlines', 0.8 + (0.2 * k) / found.length)
    return draftFrom(piece, prepared, { plane: calmed, sigma: small!.sigma }, corners)
  })
  const kept = sheets.filter(s => s.draft.openings.length > 0)
  if (!kept.length)
    throw new RangeError(
      'The stencil has no opening that is larger than a speck. Check the threshold, and whether the stencil is the darker or the lighter of the two.',
    )
  return { sheets: kept.sort(asRead), edgeMm, dropped: sorted.dropped }
}
