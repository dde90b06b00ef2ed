import type { Point } from '../geometry'
import { rimOf, type Flakes, type Gem } from '../look'
import { mixLinear, type LinearRgb } from '../paint'
import type { Mask } from './coverage'
import { hash, smoothstep } from './grid'
import type { HeadPicture } from './head'
import { boxOfMask, shared, type Painted, type PixelBox } from './painted'

/** Every pixel of any picture. */
const WHOLE: PixelBox = { i0: 0, j0: 0, i1: Infinity, j1: Infinity }
/** One flake in so many lies just so that it throws the lamp back. */
const GLINTS = 0.045

/**
 * Strews flakes where a mask says: each lies somewhere in a cell of the skin, with a tilt of its own. Most
 * are a little brighter or darker than their colour, a few glint. The same flakes lie at the same places at
 * every size of the picture.
 * @param clip leaves all pixels outside it as they are
 */
export function layFlakes(
  painted: Painted,
  flakes: Flakes,
  head: HeadPicture,
  mask: Mask,
  clip: PixelBox = WHOLE,
): void {
  shineOfGel(painted, flakes.gel, head, mask, clip)
  const cells = cellsUnder(mask, 1 / Math.sqrt(flakes.density), head)
  if (!cells) return
  const { x0, x1, y0, y1 } = cells
  for (let cy = y0; cy <= y1; cy++)
    for (let cx = x0; cx <= x1; cx++) layFlake(painted, flakes, head, mask, clip, cx, cy)
}

/** Gel that holds flakes shines itself. */
function shineOfGel(
  { sheen }: Painted,
  gel: number,
  { grid }: HeadPicture,
  mask: Mask,
  clip: PixelBox,
): void {
  const { i0, j0, i1, j1 } = shared(clip, boxOfMask(mask))
  for (let j = j0; gel > 0 && j < j1; j++) {
    for (let i = i0; i < i1; i++)
      sheen[j * grid.width + i]! += gel * 0.5 * mask.data[(j - mask.j0) * mask.width + i - mask.i0]!
  }
}

/**
 * The cells of the skin under a mask, bounded by the skin under its corners and edges; null when there is
 * none.
 */
function cellsUnder(mask: Mask, cell: number, { grid, chart }: HeadPicture) {
  const k = grid.pxPerMm
  const corners = Array.from({ length: 16 }, (_, n) =>
    chart.back([
      grid.x0 + (mask.i0 + (mask.width * (n % 4)) / 3) / k,
      grid.y0 + (mask.j0 + (mask.height * Math.floor(n / 4)) / 3) / k,
    ]),
  ).filter(c => c !== null)
  if (!corners.length || mask.data.length === 0) return null
  const xs = corners.map(c => c[0])
  const ys = corners.map(c => c[1])
  return {
    x0: Math.floor(Math.min(...xs) / cell) - 1,
    x1: Math.ceil(Math.max(...xs) / cell) + 1,
    y0: Math.floor(Math.min(...ys) / cell) - 1,
    y1: Math.ceil(Math.max(...ys) / cell) + 1,
  }
}

/** The four sides to which a glint throws light. */
const SIDES = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1],
] as const

/**
 * The flake of one cell of the skin, where it lies in the mask. Toward the edge fewer lie, not fainter ones.
 */
function layFlake(
  painted: Painted,
  flakes: Flakes,
  head: HeadPicture,
  mask: Mask,
  clip: PixelBox,
  cx: number,
  cy: number,
): void {
  const { size, density, seed } = flakes
  const { grid, chart } = head
  const k = grid.pxPerMm
  const cell = 1 / Math.sqrt(density)
  const [x, y] = chart.point([(cx + hash(cx, cy, seed)) * cell, (cy + hash(cx, cy, seed + 1)) * cell])
  const u = (x - grid.x0) * k
  const v = (y - grid.y0) * k
  const i = Math.floor(u) - mask.i0
  const j = Math.floor(v) - mask.j0
  if (i < 0 || j < 0 || i >= mask.width || j >= mask.height) return
  const cover = mask.data[j * mask.width + i]!
  const h = hash(cx, cy, seed + 2)
  if (cover < 0.02 || hash(cx, cy, seed + 3) > cover) return
  const glint = h < GLINTS
  const bright = glint ? 2.2 + 4 * hash(cx, cy, seed + 4) : 0.35 + 0.95 * h
  const colour = flakes.finish ? shimmer(flakes, hash(cx, cy, seed + 6)) : flakes.colour
  const big = size * k * (0.7 + 0.6 * hash(cx, cy, seed + 5))
  // A glint smaller than a pixel lights all of that pixel, and so the less.
  const wide = glint ? Math.max(big, 0.85) : big
  const flake = { colour, gel: flakes.gel }
  put(painted, flake, head, clip, { u, v, w: wide, bright, glint, weight: (big / wide) ** 2 })
  if (!glint || k <= 2.4) return
  for (const [dx, dy] of SIDES) {
    const ray = { u: u + dx * big * 0.9, v: v + dy * big * 0.9, w: big * 0.5, weight: 1 }
    put(painted, flake, head, clip, { ...ray, bright: bright * 0.5, glint })
  }
}

/** Tints between which an iridescent flake turns with its tilt, against its own lightness (common practice). */
const TINTS = [
  [1.35, 0.6, 1.15],
  [0.65, 1.3, 0.9],
  [0.7, 0.9, 1.5],
] as const
/** How much of the tint an iridescent flake shows, and a pearly one of white. */
const IRIDESCENT = 0.6
const PEARLY = 0.35

/**
 * The colour of one flake of a finish.
 * @param turn how it happens to lie, 0 to 1
 */
function shimmer({ colour, finish }: Flakes, turn: number): LinearRgb {
  const light = 0.2126 * colour[0] + 0.7152 * colour[1] + 0.0722 * colour[2]
  if (finish === 'pearl') return mixLinear(colour, [light, light, light], PEARLY)
  const at = turn * TINTS.length
  const n = Math.floor(at) % TINTS.length
  const [a, b] = [TINTS[n]!, TINTS[(n + 1) % TINTS.length]!]
  const tint = mixLinear(a, b, at - n)
  return mixLinear(colour, [light * tint[0], light * tint[1], light * tint[2]], IRIDESCENT)
}

/** A square flake on the picture: its middle and width in pixels, and how bright it is. */
interface Square {
  readonly u: number
  readonly v: number
  readonly w: number
  readonly bright: number
  readonly glint: boolean
  readonly weight: number
}

/** Spreads a square flake over the pixels that it touches. */
function put(
  { paint, sheen }: Painted,
  { colour, gel }: Pick<Flakes, 'colour' | 'gel'>,
  { grid, skin }: HeadPicture,
  clip: PixelBox,
  { u, v, w, bright, glint, weight }: Square,
): void {
  for (let j = Math.floor(v - w / 2); j <= v + w / 2; j++) {
    for (let i = Math.floor(u - w / 2); i <= u + w / 2; i++) {
      if (i < 0 || j < 0 || i >= grid.width || j >= grid.height) continue
      if (i < clip.i0 || j < clip.j0 || i >= clip.i1 || j >= clip.j1) continue
      const a =
        Math.max(0, Math.min(i + 1, u + w / 2) - Math.max(i, u - w / 2)) *
        Math.max(0, Math.min(j + 1, v + w / 2) - Math.max(j, v - w / 2))
      const p = j * grid.width + i
      const share = a * weight * skin[p]!
      if (share <= 0) continue
      for (let b = 0; b < 3; b++)
        paint[3 * p + b]! +=
          ((glint ? 0.35 + 0.65 * colour[b]! : colour[b]!) * bright - paint[3 * p + b]!) * share
      sheen[p]! += (0.8 - sheen[p]!) * share * (1 - gel)
    }
  }
}

/** A pixel of a pearl: a smooth dome with a soft light on it and a darker rim. */
function layPearl(
  paint: Float32Array,
  p: number,
  colour: LinearRgb,
  share: number,
  [dx, dy]: Point,
  cover: number,
): void {
  const nz = Math.sqrt(Math.max(0, 1 - share * share))
  const light = Math.max(0, dx * LAMP[0] + dy * LAMP[1] + nz * LAMP[2])
  const white = smoothstep(0.55, 0.05, Math.hypot(dx + 0.34, dy + 0.4)) * 0.75
  for (let b = 0; b < 3; b++) {
    const body = colour[b]! * (0.42 + 0.55 * light) + white
    paint[3 * p + b]! += (body - paint[3 * p + b]!) * cover
  }
}

/** The lamp stands up and to the left. */
const LAMP = [-0.48, -0.62, 0.62] as const

/**
 * Draws a cut gem: a flat table, facets round it that catch the lamp each in its own way, and a dark rim.
 * @param clip leaves all pixels outside it as they are
 */
export function layGem(
  { paint, sheen }: Painted,
  { cut, colour, at, size, heading, finish }: Gem,
  head: HeadPicture,
  mask: Mask,
  clip: PixelBox = WHOLE,
): void {
  const { grid, chart } = head
  const within = shared(clip, boxOfMask(mask))
  const facets = cut === 'star' ? 5 : 8
  const way = (heading * Math.PI) / 180
  for (let j = within.j0 - mask.j0; j < within.j1 - mask.j0; j++) {
    for (let i = within.i0 - mask.i0; i < within.i1 - mask.i0; i++) {
      const cover = mask.data[j * mask.width + i]!
      if (cover < 0.01) continue
      const p = (mask.j0 + j) * grid.width + mask.i0 + i
      const skin = chart.back([
        grid.x0 + (mask.i0 + i + 0.5) / grid.pxPerMm,
        grid.y0 + (mask.j0 + j + 0.5) / grid.pxPerMm,
      ])
      if (!skin) continue
      const dx = (skin[0] - at[0]) / (size / 2)
      const dy = (skin[1] - at[1]) / (size / 2)
      const a = Math.atan2(dx, -dy) - way
      const r = Math.hypot(dx, dy)
      const share = Math.min(1, r / rimOf(cut, (a * 180) / Math.PI))
      if (finish === 'pearl') {
        layPearl(paint, p, colour, share, [dx, dy], cover)
        sheen[p] = sheen[p]! * (1 - cover)
        continue
      }
      const turn = (a / (2 * Math.PI)) * facets
      const n = Math.floor(turn + (share > 0.72 ? 0.5 : 0))
      const mid = ((n + (share > 0.72 ? 0 : 0.5)) / facets) * 2 * Math.PI + way
      const tilt = share < 0.42 ? 0 : share > 0.72 ? 0.85 : 0.55
      const nx = Math.sin(mid) * Math.sin(tilt)
      const ny = -Math.cos(mid) * Math.sin(tilt)
      const nz = Math.cos(tilt)
      const light = Math.max(0, nx * LAMP[0] + ny * LAMP[1] + nz * LAMP[2])
      const spark = hash(n, Math.floor(share * 2.6), facets + Math.round(at[0] * 10))
      // What shines through from the back facets, opposite the lamp, gives a gem its fire.
      const back = Math.max(0, -(nx * LAMP[0] + ny * LAMP[1])) * 0.9
      const white =
        (share < 0.42
          ? smoothstep(0.55, 0.05, Math.hypot(dx + 0.16, dy + 0.2)) * 0.9
          : light > 0.82
            ? (light - 0.82) * 5
            : 0) + (spark > 0.86 ? 0.5 : 0)
      const dark = 1 - 0.62 * smoothstep(0.9, 1, share)
      for (let b = 0; b < 3; b++) {
        // Facets of an iridescent gem have hues of their own.
        const tint = finish ? TINTS[((n % 3) + 3) % 3]![b]! : 1
        const body = colour[b]! * tint * (0.28 + 0.75 * light + back + 0.3 * spark) + white
        paint[3 * p + b]! += (body * dark - paint[3 * p + b]!) * cover
      }
      sheen[p] = sheen[p]! * (1 - cover)
    }
  }
}
