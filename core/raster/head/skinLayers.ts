import { smoothThrough, type Point, type Ring } from '../../geometry'
import { linearOf, type LinearRgb } from '../../paint/colour'
import { blurred, coverageOf, type Mask } from '../coverage'
import type { Grid } from '../grid'
import { LIGHTS, type Light } from '../../paint/lights'
import { SAME, type Chart } from '../../skin/chart'
import type { SideLandmark } from '../../skin/faces/landmarks'

/**
 * The unpainted head as layers: what the skin is, how the light falls, where paint holds and what lies over
 * it.
 */
export interface HeadPicture {
  readonly grid: Grid
  /** From skin coordinates to the picture's plane. */
  readonly chart: Chart
  /** Reflectance in linear light, three values a pixel. */
  readonly albedo: Float32Array
  /** Light that falls on it, 1 = full. */
  readonly light: Float32Array
  /** Shine added on top, linear. */
  readonly gloss: Float32Array
  /** Share of the pixel that takes paint, 0 to 1. */
  readonly skin: Float32Array
  /** Share of that which is hair, 0 to 1: it takes less. */
  readonly hair: Float32Array
  /** Hair, eyes and lashes over the paint: linear, premultiplied, four values a pixel. */
  readonly over: Float32Array
  /** The colour of the light, linear; white when left out. */
  readonly tint?: LinearRgb | undefined
}

/** Draws soft shapes given in skin coordinates (mm) into a picture's layers. */
export class SkinLayers implements HeadPicture {
  readonly albedo: Float32Array
  readonly light: Float32Array
  readonly gloss: Float32Array
  readonly skin: Float32Array
  readonly hair: Float32Array
  readonly over: Float32Array
  readonly tint: LinearRgb | undefined

  constructor(
    readonly grid: Grid,
    readonly chart: Chart = SAME,
    readonly lamp: Light = LIGHTS.lamp,
  ) {
    if (lamp !== LIGHTS.lamp) this.tint = lamp.tint
    const n = grid.width * grid.height
    this.albedo = new Float32Array(3 * n)
    this.light = new Float32Array(n).fill(1)
    this.gloss = new Float32Array(n)
    this.skin = new Float32Array(n)
    this.hair = new Float32Array(n)
    this.over = new Float32Array(4 * n)
  }

  /** Gives every pixel one colour to begin with. */
  prime([r, g, b]: LinearRgb): void {
    const { albedo } = this
    for (let p = 0; p < albedo.length; p += 3) {
      albedo[p] = r
      albedo[p + 1] = g
      albedo[p + 2] = b
    }
  }

  /** The same layers drawn in the picture's own coordinates: for what is no skin. */
  onPicture(): SkinLayers {
    return Object.assign(Object.create(SkinLayers.prototype) as SkinLayers, this, { chart: SAME })
  }

  /** Coverage of a closed shape, softened by `soft` mm. */
  shape(ring: Ring | readonly Ring[], soft = 0): Mask {
    const sigma = soft * this.grid.pxPerMm
    return blurred(
      coverageOf(
        (Array.isArray(ring) ? (ring as Ring[]) : [ring as Ring]).map(this.chart.ring),
        this.grid,
        Math.ceil(3 * sigma) + 1,
      ),
      sigma,
    )
  }

  /** Calls `visit(pixel, coverage, x, y)` with skin coordinates in mm for each covered pixel. */
  each(mask: Mask, visit: (pixel: number, coverage: number, x: number, y: number) => void): void {
    const { grid, chart } = this
    const same = chart === SAME
    for (let j = 0; j < mask.height; j++) {
      const y = grid.y0 + (mask.j0 + j + 0.5) / grid.pxPerMm
      for (let i = 0; i < mask.width; i++) {
        const c = mask.data[j * mask.width + i]!
        if (c <= 0.002) continue
        const x = grid.x0 + (mask.i0 + i + 0.5) / grid.pxPerMm
        const at = same ? null : chart.back([x, y])
        if (same) visit((mask.j0 + j) * grid.width + mask.i0 + i, c, x, y)
        else if (at) visit((mask.j0 + j) * grid.width + mask.i0 + i, c, at[0], at[1])
      }
    }
  }

  /** Colours the skin itself. */
  stain(mask: Mask, colour: string | LinearRgb, strength = 1): void {
    const c = typeof colour === 'string' ? linearOf(colour) : colour
    this.each(mask, (p, cover) => {
      const a = cover * strength
      for (let k = 0; k < 3; k++) this.albedo[3 * p + k]! += (c[k]! - this.albedo[3 * p + k]!) * a
    })
  }

  /** Draws hair that takes paint, though less of it than the skin does. */
  growHair(mask: Mask, colour: string | LinearRgb, strength: number): void {
    this.stain(mask, colour, strength)
    this.each(mask, (p, cover) => {
      const a = cover * strength
      this.hair[p]! += (1 - this.hair[p]!) * a
    })
  }

  /** Lays something over skin and paint. */
  cover(mask: Mask, colour: string | LinearRgb | ((x: number, y: number) => LinearRgb), strength = 1): void {
    const fixed = typeof colour === 'string' ? linearOf(colour) : typeof colour === 'function' ? null : colour
    this.each(mask, (p, cover, x, y) => {
      const c = fixed ?? (colour as (x: number, y: number) => LinearRgb)(x, y)
      const a = cover * strength
      for (let k = 0; k < 3; k++) this.over[4 * p + k] = this.over[4 * p + k]! * (1 - a) + c[k]! * a
      this.over[4 * p + 3] = this.over[4 * p + 3]! * (1 - a) + a
    })
  }
}

/** A closed smooth outline through points. */
export const closedCurve = (points: readonly Point[]): Ring => Float64Array.from(smoothThrough(points, true))

/**
 * The outline of a stroke along a smooth curve.
 * @param points what it runs through, mm
 * @param width full width in mm at t in [0, 1] along it
 */
export function strokeRing(points: readonly Point[], width: (t: number) => number): Ring {
  const flat = points.length > 2 ? smoothThrough(points, false) : points.flat()
  const n = flat.length / 2
  const left: number[] = []
  const right: number[] = []
  for (let i = 0; i < n; i++) {
    const a = Math.max(0, i - 1)
    const b = Math.min(n - 1, i + 1)
    const dx = flat[2 * b]! - flat[2 * a]!
    const dy = flat[2 * b + 1]! - flat[2 * a + 1]!
    const l = Math.hypot(dx, dy) || 1
    const h = width(i / (n - 1)) / 2
    left.push(flat[2 * i]! - (dy / l) * h, flat[2 * i + 1]! + (dx / l) * h)
    right.unshift(flat[2 * i]! + (dy / l) * h, flat[2 * i + 1]! - (dx / l) * h)
  }
  return Float64Array.from([...left, ...right])
}

/** Thin, thick, thin along a stroke. */
export const tapered =
  (thick: number, thin = 0) =>
  (t: number): number =>
    thin + (thick - thin) * Math.sin(Math.PI * t) ** 0.8

/** The landmarks of one side of a face. */
export type SideOf = Readonly<Record<SideLandmark, Point>>

/** An oval about a point, turned by some radians. */
export const oval = ([x, y]: Point, rx: number, ry: number, turn = 0): Float64Array => {
  const out = new Float64Array(64)
  const c = Math.cos(turn)
  const s = Math.sin(turn)
  for (let i = 0; i < 32; i++) {
    const a = (2 * Math.PI * i) / 32
    const u = rx * Math.cos(a)
    const v = ry * Math.sin(a)
    out[2 * i] = x + c * u - s * v
    out[2 * i + 1] = y + s * u + c * v
  }
  return out
}
