import { boxOf, EMPTY_BOX, type Box, type Ring } from '../geometry'
import type { Grid } from './grid'
import type { RowSpans } from './rowSpans'

/** Coverage of part of a grid: one value in [0, 1] a pixel, from pixel (i0, j0) on. */
export interface Mask {
  /** How far in from the edge of what is covered each pixel lies, mm; only where a print asks for it. */
  readonly depth?: Float32Array
  readonly i0: number
  readonly j0: number
  readonly width: number
  readonly height: number
  readonly data: Float32Array
  /** The pixels outside which nothing is covered, where they are known by the row. */
  readonly spans?: RowSpans
}

export const EMPTY_MASK: Mask = { i0: 0, j0: 0, width: 0, height: 0, data: new Float32Array(0) }

/**
 * Exact area coverage of a region on a grid. Each edge adds its signed area to the pixels right of it, and a
 * running sum along the row gives the coverage. Holes must run the other way round from their outer rings and
 * regions must not overlap, as clipping leaves them.
 * @param rings in mm of the skin frame
 * @param grid the pixel grid
 * @param margin pixels of empty border to keep around the region, for spreading
 */
export function coverageOf(rings: readonly Ring[], grid: Grid, margin = 0): Mask {
  let box: Box = EMPTY_BOX
  for (const ring of rings) box = boxOf(ring, box)
  const k = grid.pxPerMm
  const i0 = Math.max(0, Math.floor((box.minX - grid.x0) * k) - margin)
  const i1 = Math.min(grid.width, Math.ceil((box.maxX - grid.x0) * k) + margin)
  const j0 = Math.max(0, Math.floor((box.minY - grid.y0) * k) - margin)
  const j1 = Math.min(grid.height, Math.ceil((box.maxY - grid.y0) * k) + margin)
  const width = i1 - i0
  const height = j1 - j0
  if (!(width > 0 && height > 0)) return EMPTY_MASK
  // One spare column takes what falls right of the last pixel.
  const stride = width + 2
  const sums = new Float32Array(stride * height)
  for (const ring of rings) {
    const n = ring.length
    let px = (ring[n - 2]! - grid.x0) * k - i0,
      py = (ring[n - 1]! - grid.y0) * k - j0
    for (let i = 0; i < n; i += 2) {
      const x = (ring[i]! - grid.x0) * k - i0
      const y = (ring[i + 1]! - grid.y0) * k - j0
      addEdge(sums, stride, width, height, px, py, x, y)
      px = x
      py = y
    }
  }
  const data = new Float32Array(width * height)
  for (let j = 0; j < height; j++) {
    let total = 0
    for (let i = 0; i < width; i++) {
      total += sums[j * stride + i]!
      data[j * width + i] = Math.min(1, Math.abs(total))
    }
  }
  return { i0, j0, width, height, data }
}

function addEdge(
  sums: Float32Array,
  stride: number,
  width: number,
  height: number,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
): void {
  if (y0 === y1) return
  const sign = y0 < y1 ? 1 : -1
  if (y0 > y1) {
    ;[x0, x1] = [x1, x0]
    ;[y0, y1] = [y1, y0]
  }
  const slope = (x1 - x0) / (y1 - y0)
  let y = Math.max(0, y0),
    x = x0 + (y - y0) * slope
  const end = Math.min(height, y1)
  while (y < end) {
    const row = Math.floor(y)
    const next = Math.min(row + 1, end)
    const xNext = x + (next - y) * slope
    addWithin(sums, row * stride, width, x, xNext, (next - y) * sign)
    y = next
    x = xNext
  }
}

/**
 * Adds an edge that crosses one pixel row from xa to xb: what of it lies left of the part of the grid covers all
 * of the row, what lies right of it covers nothing.
 */
function addWithin(sums: Float32Array, row: number, width: number, xa: number, xb: number, d: number): void {
  const left = Math.min(xa, xb)
  const right = Math.max(xa, xb)
  if (left >= 0 && right <= width) return addSpan(sums, row, xa, xb, d)
  const before = left >= 0 ? 0 : right <= 0 ? 1 : -left / (right - left)
  const past = right <= width ? 0 : left >= width ? 1 : (right - width) / (right - left)
  if (before > 0) addSpan(sums, row, 0, 0, d * before)
  if (before + past < 1)
    addSpan(sums, row, Math.max(0, left), Math.min(width, right), d * (1 - before - past))
}

/** Adds an edge that crosses one pixel row from xa to xb and covers `d` of its height. */
function addSpan(sums: Float32Array, row: number, xa: number, xb: number, d: number): void {
  const left = Math.min(xa, xb)
  const right = Math.max(xa, xb)
  const first = Math.floor(left)
  const last = Math.ceil(right)
  if (last <= first + 1) {
    const middle = (left + right) / 2 - first
    sums[row + first]! += d * (1 - middle)
    sums[row + first + 1]! += d * middle
    return
  }
  const s = 1 / (right - left)
  const u = left - first
  const a0 = (s * (1 - u) * (1 - u)) / 2
  const v = right - last + 1
  const am = (s * v * v) / 2
  sums[row + first]! += d * a0
  if (last === first + 2) {
    sums[row + first + 1]! += d * (1 - a0 - am)
  } else {
    const a1 = s * (1.5 - u)
    sums[row + first + 1]! += d * (a1 - a0)
    for (let i = first + 2; i < last - 1; i++) sums[row + i]! += d * s
    const a2 = a1 + (last - first - 3) * s
    sums[row + last - 1]! += d * (1 - a2 - am)
  }
  sums[row + last]! += d * am
}

/**
 * The mask softened by box blurs, close to a Gaussian of standard deviation `sigma` pixels. Needs a margin of
 * about 3 sigma. Three of the least boxes already make 1.4 pixels, so less takes fewer of them, and what is
 * finer than the pixels' own softness takes none.
 */
export function blurred(mask: Mask, sigma: number): Mask {
  const passes = sigma < 0.55 ? 0 : sigma < 1 ? 1 : sigma < 1.3 ? 2 : 3
  if (passes === 0 || mask.data.length === 0) return mask
  const r = Math.max(1, Math.round(Math.sqrt((12 * sigma * sigma) / passes + 1) / 2 - 0.5))
  const b = new Float32Array(mask.data.length)
  let a = mask.data
  for (let pass = 0; pass < passes; pass++) {
    boxAcross(a, b, mask.width, mask.height, r)
    const c: Float32Array<ArrayBuffer> =
      a === mask.data ? new Float32Array(a.length) : (a as Float32Array<ArrayBuffer>)
    boxDown(b, c, mask.width, mask.height, r)
    a = c
  }
  // It covers more than before: spans that were known would cut it.
  return { ...mask, data: a, spans: undefined }
}

/**
 * Means of 2r + 1 pixels along each row. Past the ends the last value goes on, so that a shape cut by the
 * picture's edge stays whole there.
 */
function boxAcross(from: Float32Array, to: Float32Array, width: number, height: number, r: number): void {
  const k = 1 / (2 * r + 1)
  for (let j = 0; j < height; j++) {
    const base = j * width
    const end = base + width - 1
    const first = from[base]!
    const last = from[end]!
    let sum = 0
    for (let i = -r; i <= r; i++) sum += i < 0 ? first : i < width ? from[base + i]! : last
    for (let p = base; p <= end; p++) {
      to[p] = sum * k
      sum += (p + r + 1 <= end ? from[p + r + 1]! : last) - (p - r >= base ? from[p - r]! : first)
    }
  }
}

/** The same along each column; all columns go down together, row by row, as they lie in memory. */
function boxDown(from: Float32Array, to: Float32Array, width: number, height: number, r: number): void {
  const k = 1 / (2 * r + 1)
  const sums = new Float64Array(width)
  const row = (j: number) => Math.min(height - 1, Math.max(0, j)) * width
  for (let j = -r; j <= r; j++) {
    const at = row(j)
    for (let i = 0; i < width; i++) sums[i]! += from[at + i]!
  }
  for (let j = 0; j < height; j++) {
    const at = j * width
    const come = row(j + r + 1)
    const gone = row(j - r)
    for (let i = 0; i < width; i++) {
      to[at + i] = sums[i]! * k
      sums[i]! += from[come + i]! - from[gone + i]!
    }
  }
}
