import { boxOf, EMPTY_BOX, type Box, type Ring } from '../geometry'
import { EMPTY_MASK, type Mask } from './coverage'
import type { Grid } from './grid'
import { RowSpans } from './rowSpans'

/** Points of a ring that lie closer together than this are passed over, pixels: finer cannot be seen. */
const CLOSE = 0.2
/** Longer edges are taken in pieces, pixels, so that a slanting one looks at few pixels that are far from it. */
const PIECE = 4
/**
 * The sharpest edge, as half its width in pixels: a sharper one would not lie where it should between the
 * middles of pixels.
 */
const LEAST_SOFT = 0.75
/** From this half width on, pixels, an edge begins and ends smoothly; a narrower one falls in a straight line. */
const SMOOTH = 1.5

/** Half the width of the edge of paint that creeps by `e`, in the same unit: its softness is that spread. */
const softness = (e: number): number => Math.max(LEAST_SOFT, e / 2)

/**
 * What paint covers that creeps past the openings it is dabbed through, 0 to 1 a pixel. Where it is half
 * covered lies the spread itself from the opening's edge, by the exact distance of each pixel's middle to the
 * rings; its edge is as soft as the spread. Where several openings reach a pixel the one that covers it most
 * counts.
 * @param rings in mm of the picture; holes run the other way round
 * @param spread how far the paint creeps past each ring, mm
 */
export function spreadCover(rings: readonly Ring[], spread: readonly number[], grid: Grid): Mask {
  const k = grid.pxPerMm
  let box: Box = EMPTY_BOX
  for (const ring of rings) box = boxOf(ring, box)
  const widest = spread.reduce((most, e) => Math.max(most, e * k), 0)
  const margin = Math.ceil(widest + softness(widest)) + 1
  const i0 = Math.max(0, Math.floor((box.minX - grid.x0) * k) - margin)
  const i1 = Math.min(grid.width, Math.ceil((box.maxX - grid.x0) * k) + margin)
  const j0 = Math.max(0, Math.floor((box.minY - grid.y0) * k) - margin)
  const j1 = Math.min(grid.height, Math.ceil((box.maxY - grid.y0) * k) + margin)
  if (!(i1 > i0 && j1 > j0)) return EMPTY_MASK
  const width = i1 - i0
  const height = j1 - j0
  // The middles of pixels are the whole numbers of this frame.
  const local = rings.map(ring => pixelRing(ring, grid, i0 + 0.5, j0 + 0.5))
  const data = new Float32Array(width * height)
  const spans = new RowSpans(width, height)
  const turns = windings(local, width, height, data, spans)
  const field: Field = { width, height, cover: data, turns, spans }
  local.forEach((ring, n) => nearEdge(field, ring, (spread[n] ?? 0) * k))
  return { i0, j0, width, height, data, spans }
}

/** A ring in pixels of a part of the grid, without points that lie too close together to be told apart. */
function pixelRing(ring: Ring, { x0, y0, pxPerMm: k }: Grid, i0: number, j0: number): Float64Array {
  const out = new Float64Array(ring.length)
  let n = 0
  for (let i = 0; i < ring.length; i += 2) {
    const x = (ring[i]! - x0) * k - i0
    const y = (ring[i + 1]! - y0) * k - j0
    if (n > 0 && Math.abs(x - out[n - 2]!) < CLOSE && Math.abs(y - out[n - 1]!) < CLOSE) continue
    out[n++] = x
    out[n++] = y
  }
  return out.subarray(0, n)
}

let room = new Int16Array(0)
/** Noughts to count turns in: one store for all, as none of it is needed once a cover is made. */
function blankTurns(n: number): Int16Array {
  if (room.length < n) room = new Int16Array(n)
  else room.fill(0, 0, n)
  return room
}

/**
 * How often the rings run round the middle of each pixel.
 * @param data where they do it is set to 1
 * @param spans takes in where they do it
 */
function windings(
  rings: readonly Float64Array[],
  width: number,
  height: number,
  data: Float32Array,
  spans: RowSpans,
): Int16Array {
  const turns = blankTurns(width * height)
  for (const ring of rings) {
    const n = ring.length
    let ax = ring[n - 2]!
    let ay = ring[n - 1]!
    for (let i = 0; i < n; i += 2) {
      const bx = ring[i]!
      const by = ring[i + 1]!
      const down = by > ay
      const slope = (bx - ax) / (by - ay)
      const end = Math.min(height, Math.ceil(down ? by : ay))
      for (let j = Math.max(0, Math.ceil(down ? ay : by)); j < end; j++) {
        const x = Math.max(0, Math.ceil(ax + (j - ay) * slope))
        if (x < width) turns[j * width + x]! += down ? 1 : -1
        // Where it ends too: what was counted there is summed up with the rest of the row.
        spans.add(j, x, x < width ? x + 1 : width)
      }
      ax = bx
      ay = by
    }
  }
  for (let j = 0; j < height; j++) {
    let turn = 0
    for (let p = j * width + spans.first[j]!, end = j * width + spans.end[j]!; p < end; p++) {
      turn += turns[p]!
      turns[p] = turn
      if (turn !== 0) data[p] = 1
    }
  }
  return turns
}

/** What is covered so far, and how often rings run round each pixel. */
interface Field {
  readonly width: number
  readonly height: number
  /** Cover of each pixel, 0 to 1; changed in place. */
  readonly cover: Float32Array
  readonly turns: Int16Array
  readonly spans: RowSpans
}

/**
 * A short piece of an edge in numbers: x, y, dx, dy, how far the paint creeps past it and half the width of its
 * edge, pixels. One store for all of them: numbers that are handed on one by one are wrapped each time.
 */
const piece = new Float64Array(6)

/**
 * Covers the pixels near a ring: a half as far from it as the paint creeps.
 * @param e how far the paint creeps past the ring, pixels
 */
function nearEdge(field: Field, ring: Float64Array, e: number): void {
  const n = ring.length
  piece[4] = e
  piece[5] = softness(e)
  let ax = ring[n - 2]!
  let ay = ring[n - 1]!
  for (let i = 0; i < n; i += 2) {
    const dx = ring[i]! - ax
    const dy = ring[i + 1]! - ay
    const pieces = Math.max(1, Math.ceil(Math.max(Math.abs(dx), Math.abs(dy)) / PIECE))
    piece[2] = dx / pieces
    piece[3] = dy / pieces
    for (let c = 0; c < pieces; c++) {
      piece[0] = ax + (dx * c) / pieces
      piece[1] = ay + (dy * c) / pieces
      if (!isWithin(field)) nearPiece(field)
    }
    ax = ring[i]!
    ay = ring[i + 1]!
  }
}

/** Whether the piece lies inside what another ring covers: then nothing ends there. */
function isWithin(field: Field): boolean {
  const dx = piece[2]!
  const dy = piece[3]!
  const l = Math.sqrt(dx * dx + dy * dy)
  if (l === 0) return false
  const x = piece[0]! + dx / 2
  const y = piece[1]! + dy / 2
  const nx = (-0.75 * dy) / l
  const ny = (0.75 * dx) / l
  return turnsAt(field, x + nx, y + ny) && turnsAt(field, x - nx, y - ny)
}
function turnsAt({ turns, width, height }: Field, x: number, y: number): boolean {
  const i = Math.round(x)
  const j = Math.round(y)
  return i >= 0 && j >= 0 && i < width && j < height && turns[j * width + i] !== 0
}

/** So much more of a row is looked at than what comes near, pixels: no rounding leaves a pixel out. */
const HAIR = 1e-6

/** Covers the pixels near the piece. */
function nearPiece({ width, height, cover: out, turns, spans }: Field): void {
  const x = piece[0]!
  const y = piece[1]!
  const dx = piece[2]!
  const dy = piece[3]!
  const e = piece[4]!
  const soft = piece[5]!
  const reach = e + soft
  const far = reach * reach
  const slope = 0.5 / soft
  const smooth = soft > SMOOTH
  const length2 = dx * dx + dy * dy
  const per = length2 > 0 ? 1 / length2 : 0
  const left = dx < 0 ? x + dx : x
  const right = dx < 0 ? x : x + dx
  const top = dy < 0 ? y + dy : y
  const foot = dy < 0 ? y : y + dy
  const j0 = Math.max(0, Math.ceil(top - reach))
  const j1 = Math.min(height - 1, Math.floor(foot + reach))
  for (let j = j0; j <= j1; j++) {
    const py = j - y
    // A row that passes above or below the piece comes near it for less of its length.
    const beside = j < top ? top - j : j > foot ? j - foot : 0
    const rest = far - beside * beside
    if (rest <= 0) continue
    const wide = Math.sqrt(rest) + HAIR
    const i0 = Math.max(0, Math.ceil(left - wide))
    const i1 = Math.min(width - 1, Math.floor(right + wide))
    if (i0 <= i1) spans.add(j, i0, i1 + 1)
    for (let i = i0, p = j * width + i0; i <= i1; i++, p++) {
      const px = i - x
      const along = (px * dx + py * dy) * per
      const t = along < 0 ? 0 : along > 1 ? 1 : along
      const qx = px - t * dx
      const qy = py - t * dy
      const d2 = qx * qx + qy * qy
      if (d2 >= far) continue
      const d = Math.sqrt(d2)
      const turn = turns[p]!
      if (turn === 0) {
        const u = 0.5 - (d - e) * slope
        const cover = u >= 1 ? 1 : smooth ? u * u * (3 - 2 * u) : u
        if (cover > out[p]!) out[p] = cover
      } else if (turn === 1 || turn === -1) {
        const u = 0.5 + (d + e) * slope
        const cover = u >= 1 ? 1 : smooth ? u * u * (3 - 2 * u) : u
        if (cover < out[p]!) out[p] = cover
      }
    }
  }
}
