import type { Mask } from './coverage'

/** Stands for "nothing is covered". */
const FAR = 1e12
/** Less cover than this is none: what sums of edges leave behind. */
const NONE = 0.004

/** Half the length of the piece of edge that a pixel tells of, pixels. */
const HALF = 0.5

/**
 * Distance of every pixel's middle from the covered region, in pixels: 0 inside, and outside the distance to
 * the edge itself, which lies within each partly covered pixel as its share and the way that cover grows there
 * place it (Gustavson and Strand 2011, Pattern Recognition Letters 32:252). Which covered pixel is the nearest
 * is handed on from neighbour to neighbour in sweeps over the picture (Danielsson 1980, Computer Graphics and
 * Image Processing 14:227).
 */
export function distanceFrom(mask: Mask): Float32Array {
  const { width, height, data } = mask
  const edges = edgesOf(mask)
  const nearest = new Int32Array(width * height).fill(-1)
  const out = new Float32Array(width * height).fill(FAR)
  for (let p = 0; p < out.length; p++) {
    if (data[p]! <= NONE) continue
    nearest[p] = p
    out[p] = Math.max(0, edges[EDGE * p + 4]!)
  }
  for (let j = 0; j < height; j++) sweepRow(j, -1)
  for (let j = height - 1; j >= 0; j--) sweepRow(j, 1)
  return out

  /** Takes over what the row before knows, and then what neighbours within the row do, both ways. */
  function sweepRow(j: number, before: number): void {
    const known = j + before >= 0 && j + before < height
    for (let i = 0; i < width; i++) {
      if (known) for (let a = -1; a <= 1; a++) take(i, j, i + a, j + before)
      take(i, j, i - 1, j)
    }
    for (let i = width - 2; i >= 0; i--) take(i, j, i + 1, j)
  }

  /** Notes for a pixel the edge that a neighbour lies nearest to, when that is nearer than what is known. */
  function take(i: number, j: number, ni: number, nj: number): void {
    if (ni < 0 || ni >= width) return
    const p = j * width + i
    const feature = nearest[nj * width + ni]!
    if (feature < 0 || feature === nearest[p] || data[p]! > NONE) return
    const d = toPiece(i, j, EDGE * feature)
    if (d >= out[p]!) return
    out[p] = d
    nearest[p] = feature
  }

  function toPiece(i: number, j: number, k: number): number {
    const dx = i - edges[k]!
    const dy = j - edges[k + 1]!
    const tx = edges[k + 2]!
    const ty = edges[k + 3]!
    // A pixel from which cover falls all round stands for a dot: it has no edge of a direction.
    if (tx === 0 && ty === 0) return Math.sqrt(dx * dx + dy * dy) + edges[k + 4]!
    const t = Math.max(-HALF, Math.min(HALF, dx * tx + dy * ty))
    const x = dx - t * tx
    const y = dy - t * ty
    return Math.sqrt(x * x + y * y)
  }
}

/** Numbers kept of the edge in a covered pixel: a point of it, its direction, and how far the middle lies out. */
const EDGE = 5

/** How much the cover of pixels so far off counts for the way of an edge: a Gaussian of 0.9 pixels. */
const WEIGHTS = [0, 1, 2].map(d => Math.exp(-(d * d) / (2 * 0.9 * 0.9)))

/** The piece of edge in each covered pixel, in pixels of the mask; its direction is 0, 0 where there is none. */
function edgesOf({ width, height, data }: Mask): Float32Array {
  const edges = new Float32Array(EDGE * width * height)
  const at = (i: number, j: number) =>
    data[Math.min(height - 1, Math.max(0, j)) * width + Math.min(width - 1, Math.max(0, i))]!
  for (let j = 0, p = 0; j < height; j++) {
    for (let i = 0; i < width; i++, p++) {
      const cover = Math.min(1, data[p]!)
      if (cover <= NONE) continue
      const north = at(i, j - 1)
      const south = at(i, j + 1)
      const west = at(i - 1, j)
      const east = at(i + 1, j)
      if (cover === 1 && north === 1 && south === 1 && west === 1 && east === 1) {
        edges[EDGE * p + 4] = -1
        continue
      }
      let gx = 0
      let gy = 0
      for (let b = -2; b <= 2; b++)
        for (let a = -2; a <= 2; a++) {
          const v = WEIGHTS[Math.abs(a)]! * WEIGHTS[Math.abs(b)]! * at(i + a, j + b)
          gx += a * v
          gy += b * v
        }
      const steep = Math.hypot(gx, gy)
      const level = steep < 1e-6
      const x = level ? 0 : gx / steep
      const y = level ? 0 : gy / steep
      const out = offset(x, y, cover)
      edges.set([i + out * x, j + out * y, -y, x, out], EDGE * p)
    }
  }
  return edges
}

/**
 * How far a pixel's middle lies outside a straight edge across the direction (x, y), of length 1 or 0, that
 * leaves so much of the pixel covered; below 0 inside.
 */
function offset(x: number, y: number, cover: number): number {
  const long = Math.max(Math.abs(x), Math.abs(y))
  const short = Math.min(Math.abs(x), Math.abs(y))
  if (short < 1e-6) return 0.5 - cover
  const corner = (0.5 * short) / long
  if (cover < corner) return 0.5 * (long + short) - Math.sqrt(2 * long * short * cover)
  if (cover <= 1 - corner) return (0.5 - cover) * long
  return Math.sqrt(2 * long * short * (1 - cover)) - 0.5 * (long + short)
}
