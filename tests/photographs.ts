import { Resvg } from '@resvg/resvg-js'
import { bent, homographyOf, inverted, taken, type Lens, type Picture } from '../core/photo'
import { ringsOf, type Point } from '../core/geometry'
import type { SheetGeometry } from '../core/stencil'

/** What a simulated photograph is taken of, and how. Lengths mm, angles degrees. */
export interface Shot {
  readonly sheet: SheetGeometry
  /** Pixels to the millimetre, about. */
  readonly fineness: number
  readonly material?: string
  readonly ground?: string
  /** How the light falls: a factor at a place, 0 to 1 across and down. */
  readonly light?: (x: number, y: number) => number
  /** Sigma of the blur, pixels. */
  readonly blur?: number
  /** Scatter of the pixels as a share of white. */
  readonly noise?: number
  /** How far each corner is off the upright picture, as shares of its size. */
  readonly tilt?: readonly Point[]
  readonly lens?: Lens
  /** Ground seen round the sheet, mm. */
  readonly around?: number
  /** Laid over the sheet: SVG in the sheet's frame, mm. */
  readonly stains?: string
  /** Drawn on the ground beneath it: SVG in the sheet's frame, mm. */
  readonly beneath?: string
  readonly seed?: number
}

/** A photograph and where the truth lies in it. */
export interface Photograph {
  readonly picture: Picture
  /** The corners of the sheet's box, clockwise from the upper left, pixels. */
  readonly corners: readonly [Point, Point, Point, Point]
  /** Where a point of the sheet's frame lies in the picture. */
  readonly at: (p: Point) => Point
}

/** Numbers from 0 to 1 that are the same every time (mulberry32). */
export function seeded(seed: number): () => number {
  let a = seed
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** The light of a lamp at one side: twice as much there as at the other. */
export const SIDE = (x: number, y: number): number => 1 - 0.4 * x - 0.1 * y
/** A lamp above one corner. */
export const LAMP = (x: number, y: number): number =>
  0.5 + 0.5 * Math.exp(-2 * ((x - 0.3) ** 2 + (y - 0.2) ** 2))
/** Shade with a soft edge that crosses the picture. */
export const SHADE = (x: number, y: number): number => 0.62 + 0.38 / (1 + Math.exp(9 * (x + 0.6 * y - 0.75)))

const TILT: readonly Point[] = [
  [0.02, 0.05],
  [-0.06, 0.01],
  [-0.01, -0.03],
  [0.05, -0.02],
]
const path = (sheet: SheetGeometry) =>
  ringsOf(sheet.openings)
    .map(r => `M${Array.from(r, v => v.toFixed(4)).join(' ')}Z`)
    .join('')

/** The scene from above, three times as fine as the photograph. */
function scene(shot: Shot, k: number) {
  const { sheet, around = 12 } = shot
  const w = sheet.width + 2 * around
  const h = sheet.height + 2 * around
  const outline = `M${Array.from(sheet.outline, v => v.toFixed(4)).join(' ')}Z`
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${w * k}" height="${h * k}" viewBox="${-w / 2} ${-h / 2} ${w} ${h}">
    <rect x="${-w / 2}" y="${-h / 2}" width="${w}" height="${h}" fill="${shot.ground ?? '#efece4'}"/>${shot.beneath ?? ''}
    <path d="${outline}${path(sheet)}" fill="${shot.material ?? '#2b2f38'}" fill-rule="evenodd"/>
    ${shot.stains ? `<clipPath id="c"><path d="${outline}${path(sheet)}" clip-rule="evenodd"/></clipPath><g clip-path="url(#c)">${shot.stains}</g>` : ''}</svg>`
  const image = new Resvg(svg, { fitTo: { mode: 'original' } }).render()
  return { w, h, width: image.width, height: image.height, data: image.pixels }
}

/** Takes a simulated photograph of a sheet. */
export function photograph(shot: Shot): Photograph {
  const { fineness, blur = 1.2, noise = 0.03, light = SIDE, tilt = TILT, lens = null } = shot
  // A scene of more than 30 pixels to the millimetre is larger than it is worth.
  const fine = Math.min(3 * fineness, Math.max(30, 1.5 * fineness))
  const s = scene(shot, fine)
  const width = Math.round(s.w * fineness)
  const height = Math.round(s.h * fineness)
  const box = ([u, v]: Point): Point => [u * s.w - s.w / 2, v * s.h - s.h / 2]
  const units: Point[] = [[0, 0], [1, 0], [1, 1], [0, 1]] // prettier-ignore
  const toPicture = homographyOf(
    units.map(box),
    units.map(([u, v], i): Point => [(u + tilt[i]![0]) * width, (v + tilt[i]![1]) * height]),
  )
  const at = (p: Point): Point => {
    const q = taken(toPicture, p[0], p[1])
    return lens ? bent(lens, q, width, height) : q
  }
  const rgb = rays(s, fine, { width, height, back: inverted(toPicture), lens })
  const soft = [0, 1, 2].map(c => soften(rgb[c]!, width, height, blur))
  const random = seeded(shot.seed ?? 7)
  const data = new Uint8ClampedArray(4 * width * height).fill(255)
  for (let j = 0, k = 0; j < height; j++)
    for (let i = 0; i < width; i++, k++) {
      const lit = light(i / width, j / height)
      for (let c = 0; c < 3; c++) {
        const grain = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
        data[4 * k + c] = soft[c]![k]! * lit + 255 * noise * grain
      }
    }
  const { sheet } = shot
  const corner = units.map(([u, v]) => at([(u - 0.5) * sheet.width, (v - 0.5) * sheet.height]))
  return { picture: { width, height, data }, corners: corner as unknown as Photograph['corners'], at }
}

/** Four rays a pixel, each the nearest pixel of the scene. */
function rays(
  s: ReturnType<typeof scene>,
  fine: number,
  view: { width: number; height: number; back: readonly number[]; lens: Lens | null },
): Float32Array[] {
  const { width, height, back, lens } = view
  const out = [0, 1, 2].map(() => new Float32Array(width * height))
  const straight = lens && unbending(lens, width, height)
  for (let j = 0, k = 0; j < height; j++)
    for (let i = 0; i < width; i++, k++)
      for (const [dx, dy] of [
        [0.25, 0.25],
        [0.75, 0.25],
        [0.25, 0.75],
        [0.75, 0.75],
      ] as const) {
        // prettier-ignore
        const [px, py] = straight ? straight(i + dx, j + dy) : [i + dx, j + dy]
        const w = back[6]! * px + back[7]! * py + 1
        const x = (back[0]! * px + back[1]! * py + back[2]!) / w
        const y = (back[3]! * px + back[4]! * py + back[5]!) / w
        const u = Math.min(s.width - 1, Math.max(0, Math.floor((x + s.w / 2) * fine)))
        const v = Math.min(s.height - 1, Math.max(0, Math.floor((y + s.h / 2) * fine)))
        const o = 4 * (v * s.width + u)
        for (let c = 0; c < 3; c++) out[c]![k]! += s.data[o + c]! / 4
      }
  return out
}

/** Where a bent pixel would lie behind a straight lens, by Newton's method on the radius. */
function unbending({ k }: Lens, width: number, height: number) {
  const half = Math.hypot(width, height) / 2
  return (x: number, y: number): Point => {
    const r = Math.hypot(x - width / 2, y - height / 2) / half
    let q = r
    for (let n = 0; n < 8; n++) q -= (q + k * q ** 3 - r) / (1 + 3 * k * q * q)
    const f = r > 0 ? q / r : 1
    return [width / 2 + (x - width / 2) * f, height / 2 + (y - height / 2) * f]
  }
}

function soften(values: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (!(sigma > 0)) return values
  const reach = Math.ceil(4 * sigma)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) =>
    Math.exp(-((k - reach) ** 2) / (2 * sigma ** 2)),
  )
  const sum = kernel.reduce((a, b) => a + b, 0)
  const pass = (from: Float32Array, step: number, length: number, at: (k: number) => number) => {
    const out = new Float32Array(from.length)
    for (let k = 0; k < from.length; k++) {
      const here = at(k)
      for (let d = -reach; d <= reach; d++)
        out[k]! +=
          (kernel[d + reach]! / sum) * from[k + step * (Math.min(length - 1, Math.max(0, here + d)) - here)]!
    }
    return out
  }
  const across = pass(values, 1, width, k => k % width)
  return pass(across, width, height, k => Math.floor(k / width))
}
