import { hullOf, pointsOf, signedArea, type Point } from '../geometry'
import type { Picture } from './picture'
import { along, meeting, sharpened } from './sides'

/** What was found of a sheet, or of the paper under it, in a picture. */
export interface Found {
  /** Its four corners, clockwise from the upper left, in pixels. */
  readonly corners: readonly [Point, Point, Point, Point]
  /** How much of the four-sided figure it fills, 0 to 1: a sheet of another shape fills less. */
  readonly fills: number
  /** Sides of the picture that it runs off. */
  readonly cutOff: readonly ('left' | 'right' | 'top' | 'bottom')[]
}

/** The longer side of the picture in which the sheet is looked for. */
const LOOKED_AT = 640

/** The picture made small, in three channels of 0 to 255. */
interface Small {
  readonly width: number
  readonly height: number
  readonly by: number
  readonly rgb: Float32Array
}

function smallOf({ width, height, data }: Picture): Small {
  const by = Math.max(1, Math.ceil(Math.max(width, height) / LOOKED_AT))
  const w = Math.floor(width / by)
  const h = Math.floor(height / by)
  const rgb = new Float32Array(3 * w * h)
  // Two rows and two columns of each block are enough to calm the grain.
  const step = Math.max(1, Math.floor(by / 2))
  for (let j = 0; j < h; j++)
    for (let i = 0; i < w; i++) {
      let n = 0
      const o = 3 * (j * w + i)
      for (let y = 0; y < by; y += step)
        for (let x = 0; x < by; x += step, n++) {
          const k = 4 * ((j * by + y) * width + i * by + x)
          for (let c = 0; c < 3; c++) rgb[o + c]! += data[k + c]!
        }
      for (let c = 0; c < 3; c++) rgb[o + c]! /= n
    }
  return { width: w, height: h, by, rgb }
}

/** How much each pixel differs from the ground, which goes on from the picture's border as its mean colour by rows and columns. */
function unlikeGround({ width, height, rgb }: Small): Float32Array {
  const rim = Math.max(2, Math.round(0.02 * Math.min(width, height)))
  const ground = groundOf(width, height, rgb, rim)
  const out = new Float32Array(width * height)
  for (let j = 0, k = 0; j < height; j++)
    for (let i = 0; i < width; i++, k++) {
      const [r, g, b] = ground(i / width, j / height)
      const scale = 255 / (60 + (r! + g! + b!) / 3)
      out[k] = scale * Math.hypot(rgb[3 * k]! - r!, rgb[3 * k + 1]! - g!, rgb[3 * k + 2]! - b!)
    }
  return out
}

/** Light alone does not make one place of the ground so many times brighter than the middle of all. */
const UNLIKE = 2
const brightness = (rgb: readonly number[]): number => (rgb[0]! + rgb[1]! + rgb[2]!) / 3

/** The ground's colour anywhere, from the medians of the border's corners and the middles of its sides. */
function groundOf(w: number, h: number, rgb: Float32Array, rim: number): (x: number, y: number) => number[] {
  const median = (x0: number, y0: number, x1: number, y1: number): number[] =>
    [0, 1, 2].map(c => {
      const values: number[] = []
      for (let j = Math.round(y0); j < y1; j++)
        for (let i = Math.round(x0); i < x1; i++) values.push(rgb[3 * (j * w + i) + c]!)
      values.sort((a, b) => a - b)
      return values[values.length >> 1] ?? 0
    })
  // Colours along each side in five places; between them, and between the sides, they are mixed (a Coons patch).
  const places = [0, 0.25, 0.5, 0.75, 1]
  const span = (t: number, size: number): [number, number] => {
    const half = 0.08 * size
    return [Math.max(0, t * size - half), Math.min(size, t * size + half)]
  }
  const sides = [
    median(0, 0, w, rim),
    median(0, h - rim, w, h),
    median(0, 0, rim, h),
    median(w - rim, 0, w, h),
  ]
  sides.sort((a, b) => brightness(a) - brightness(b))
  const usual = [0, 1, 2].map(c => (sides[1]![c]! + sides[2]![c]!) / 2)
  const along = (at: (t: number) => number[]) => {
    // Where the sheet itself runs off the picture the ground is as it usually is.
    const colours = places.map(t => {
      const here = at(t)
      const ratio = (8 + brightness(here)) / (8 + brightness(usual))
      return ratio > UNLIKE || ratio < 1 / UNLIKE ? usual : here
    })
    return (t: number, c: number) => {
      const k = Math.min(3, Math.floor(4 * t))
      return colours[k]![c]! + (colours[k + 1]![c]! - colours[k]![c]!) * (4 * t - k)
    }
  }
  const box = (t: number) => span(t, w)
  const tall = (t: number) => span(t, h)
  const top = along(t => median(box(t)[0], 0, box(t)[1], rim))
  const bottom = along(t => median(box(t)[0], h - rim, box(t)[1], h))
  const left = along(t => median(0, tall(t)[0], rim, tall(t)[1]))
  const right = along(t => median(w - rim, tall(t)[0], w, tall(t)[1]))
  return (x, y) =>
    [0, 1, 2].map(c => {
      const corners =
        (1 - x) * (1 - y) * top(0, c) +
        x * (1 - y) * top(1, c) +
        (1 - x) * y * bottom(0, c) +
        x * y * bottom(1, c)
      return (1 - y) * top(x, c) + y * bottom(x, c) + (1 - x) * left(y, c) + x * right(y, c) - corners
    })
}

/** The pixels that are joined to one, through the four beside each; `of` is emptied of them. */
function joined(of: Uint8Array, from: number, width: number): number[] {
  const out = [from]
  of[from] = 0
  for (let n = 0; n < out.length; n++) {
    const k = out[n]!
    const i = k % width
    const beside = [i > 0 ? k - 1 : -1, i < width - 1 ? k + 1 : -1, k - width, k + width]
    for (const b of beside)
      if (b >= 0 && b < of.length && of[b]) {
        of[b] = 0
        out.push(b)
      }
  }
  return out
}

/** The largest piece that stands out from the ground, its openings filled; null when nothing does. */
function largestPiece(unlike: Float32Array, width: number, height: number): Uint8Array | null {
  const threshold = standsOut(unlike)
  if (threshold === null) return null
  const ground = Uint8Array.from(unlike, v => (v > threshold ? 0 : 1))
  // What the border's ground does not reach is the piece and its openings.
  const solid = new Uint8Array(width * height).fill(1)
  const rim: number[] = []
  for (let i = 0; i < width; i++) rim.push(i, (height - 1) * width + i)
  for (let j = 0; j < height; j++) rim.push(j * width, j * width + width - 1)
  for (const k of rim) if (ground[k]) for (const g of joined(ground, k, width)) solid[g] = 0
  const rest = Uint8Array.from(solid)
  let best: number[] = []
  for (let k = 0; k < rest.length; k++)
    if (rest[k]) {
      const piece = joined(rest, k, width)
      if (piece.length > best.length) best = piece
    }
  if (best.length < 0.02 * width * height) return null
  const out = new Uint8Array(width * height)
  for (const k of best) out[k] = 1
  return out
}

/** From which difference on something stands out: the middle between ground and the rest; null when nothing does. */
function standsOut(unlike: Float32Array): number | null {
  const sorted = Float32Array.from(unlike).sort()
  const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!
  // The ground is what lies nearest to itself; what differs most is the sheet.
  const [low, high] = [at(0.05), at(0.97)]
  if (high - low < 14) return null
  let threshold = (low + high) / 2
  for (let n = 0; n < 12; n++) {
    let [a, an, b, bn] = [0, 0, 0, 0]
    for (const v of unlike)
      if (v > threshold) {
        b += v
        bn++
      } else {
        a += v
        an++
      }
    if (!an || !bn) return null
    threshold = (a / an + b / bn) / 2
  }
  return Math.min(threshold, low + 0.5 * (high - low))
}

/** A hull brought down to four corners: the side that costs least area to leave out goes first. */
function fourSided(hull: Point[]): Point[] | null {
  const points = [...hull]
  while (points.length > 4) {
    const n = points.length
    let best: { cost: number; k: number; at: Point } | null = null
    for (let k = 0; k < n; k++) {
      const [a, b, c, d] = [points[(k + n - 1) % n]!, points[k]!, points[(k + 1) % n]!, points[(k + 2) % n]!]
      const at = meeting(a, b, d, c)
      if (!at || (at[0] - b[0]) * (b[0] - a[0]) + (at[1] - b[1]) * (b[1] - a[1]) < 0) continue
      const cost = Math.abs(signedArea(Float64Array.from([...b, ...at, ...c])))
      if (!best || cost < best.cost) best = { cost, k, at }
    }
    if (!best) return null
    points[best.k] = best.at
    points.splice((best.k + 1) % n, 1)
  }
  return points.length === 4 ? points : null
}

/** Four corners clockwise (y down) from the one nearest to the upper left. */
function inOrder(points: readonly Point[]): [Point, Point, Point, Point] {
  const x = points.reduce((s, p) => s + p[0], 0) / points.length
  const y = points.reduce((s, p) => s + p[1], 0) / points.length
  const round = [...points].sort((p, q) => Math.atan2(p[1] - y, p[0] - x) - Math.atan2(q[1] - y, q[0] - x))
  const first = round.reduce((best, p, k) => (p[0] + p[1] < round[best]![0] + round[best]![1] ? k : best), 0)
  return [0, 1, 2, 3].map(k => round[(first + k) % 4]!) as [Point, Point, Point, Point]
}

/** The mean colour of a small picture in a mask. */
function colourIn({ rgb }: Small, mask: (k: number) => boolean): number[] {
  const sum = [0, 0, 0]
  let n = 0
  for (let k = 0; 3 * k < rgb.length; k++)
    if (mask(k)) {
      n++
      for (let c = 0; c < 3; c++) sum[c]! += rgb[3 * k + c]!
    }
  return sum.map(v => v / Math.max(1, n))
}

/** Which sides of the picture a piece runs off. */
function runsOff(piece: Uint8Array, width: number, height: number): Found['cutOff'] {
  const count = (at: (i: number) => number, length: number) => {
    let n = 0
    for (let i = 0; i < length; i++) n += piece[at(i)]!
    return n / length
  }
  const sides = {
    left: count(j => j * width, height),
    right: count(j => j * width + width - 1, height),
    top: count(i => i, width),
    bottom: count(i => (height - 1) * width + i, width),
  }
  return (Object.keys(sides) as (keyof typeof sides)[]).filter(side => sides[side] > 0.03)
}

/**
 * Finds the sheet in a picture, or the paper under it, by what stands out from the ground along the picture's
 * border, and its four corners where its straight sides meet.
 * @returns null when nothing stands out
 */
export function findSheet(picture: Picture): Found | null {
  const small = smallOf(picture)
  const { width, height, by } = small
  const piece = largestPiece(unlikeGround(small), width, height)
  if (!piece) return null
  const cutOff = runsOff(piece, width, height)
  const edge: number[] = []
  let area = 0
  for (let k = 0; k < piece.length; k++) {
    if (!piece[k]) continue
    area++
    const [i, j] = [k % width, Math.floor(k / width)]
    if (!piece[k - 1] || !piece[k + 1] || !piece[k - width] || !piece[k + width])
      edge.push(i, j, i + 1, j, i, j + 1, i + 1, j + 1)
  }
  if (edge.length < 16) return null
  const four = fourSided(pointsOf(hullOf([Float64Array.from(edge)])))
  if (!four) return null
  const rough = inOrder(four.map(([x, y]): Point => [x * by, y * by]))
  const within = Math.abs(signedArea(Float64Array.from(four.flat())))
  // Only a sheet's own colour near its edge tells of it: its middle may be all openings.
  const rim = rimOf(piece, width, height)
  const ground = colourIn(small, k => !piece[k])
  const value = along(
    picture,
    ground,
    colourIn(small, k => rim[k] === 1),
  )
  const once = sharpened(rough, value, 2.5 * by + 2)
  const corners = sharpened(once, value, Math.max(5, by))
  return { corners: inOrder(corners), fills: Math.min(1, area / Math.max(1, within)), cutOff }
}

/** The pixels of a piece that lie a little inside its edge. */
function rimOf(piece: Uint8Array, width: number, height: number): Uint8Array {
  const out = new Uint8Array(piece.length)
  const reach = 6
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) {
      const k = j * width + i
      if (!piece[k]) continue
      const holds = (d: number) =>
        i >= d && i + d < width && j >= d && j + d < height &&
        piece[k - d] && piece[k + d] && piece[k - d * width] && piece[k + d * width] // prettier-ignore
      if (holds(2) && !holds(reach)) out[k] = 1
    }
  return out
}
