import type { LinearRgb } from '../../paint/colour'
import type { SkinLayers } from './skinLayers'

/** The quiet colour around the face. */
export const STAGE = '#E9E6E0'

const unit = (x: number, y: number, z: number): readonly [number, number, number] => {
  const l = Math.hypot(x, y, z)
  return [x / l, y / l, z / l]
}
/** A lamp from up left, and a weak fill from the right. */
const KEY = unit(-0.42, -0.5, 0.76)
const FILL = unit(0.75, 0.05, 0.55)
const HALF = unit(KEY[0], KEY[1], KEY[2] + 1)

/** How much light falls on skin of a unit normal (1 = full), and how much shine it sends to the painter. */
export function lightOn(nx: number, ny: number, nz: number): { light: number; gloss: number } {
  // Skin lets light round its edges: the lamp reaches past where it would end on a stone.
  const key = Math.max(0, (nx * KEY[0] + ny * KEY[1] + nz * KEY[2]) * 0.83 + 0.17)
  const fill = Math.max(0, nx * FILL[0] + ny * FILL[1] + nz * FILL[2])
  return {
    light: 0.19 + 0.8 * key + 0.21 * fill - 0.04 * ny,
    gloss: 0.045 * Math.max(0, nx * HALF[0] + ny * HALF[1] + nz * HALF[2]) ** 22,
  }
}

/** How much of a strand shows across a way to or from the light, 0 to 1; leaned over by a share of the normal. */
function across(t: Float64Array, n: Float64Array, lean: number, way: readonly number[]): number {
  const x = t[0]! + n[0]! * lean
  const y = t[1]! + n[1]! * lean
  const z = t[2]! + n[2]! * lean
  const c = x * way[0]! + y * way[1]! + z * way[2]!
  return Math.sqrt(Math.max(0, 1 - (c * c) / (x * x + y * y + z * z)))
}

/**
 * How hair of some way and lie shines under the lamps (Kajiya and Kay 1989, Computer Graphics 23:271; from
 * memory): light from all round across the strand, and two streaks along it.
 * @param t the strand's unit tangent in space
 * @param n the unit normal of the head beneath it
 * @param shift how far the strand's scales lean, as a share of the normal: it moves the streak along
 * @param out gets the light (1 = full), and the strength of the white and of the coloured streak
 */
export function hairLight(t: Float64Array, n: Float64Array, shift: number, out: Float64Array): void {
  const facing = n[0]! * KEY[0] + n[1]! * KEY[1] + n[2]! * KEY[2]
  const shown = Math.min(1, Math.max(0, facing * 0.85 + 0.3))
  // Powers of 90 and 22, by squaring: asked of every piece of every strand.
  const w = across(t, n, shift, HALF)
  const w2 = w * w
  const w8 = w2 * w2 * w2 * w2
  const w16 = w8 * w8
  const c = across(t, n, shift - 0.16, HALF)
  const c2 = c * c
  const c4 = c2 * c2
  out[0] = 0.28 + 0.72 * across(t, n, 0, KEY) * shown
  out[1] = w16 * w16 * w16 * w16 * w16 * w8 * w2 * shown
  out[2] = c4 * c4 * c4 * c4 * c4 * c2 * shown
}

/** Lays a colour under some light on one pixel. */
export function lay(easel: SkinLayers, pixel: number, cover: number, colour: LinearRgb, light: number): void {
  for (let k = 0; k < 3; k++)
    easel.albedo[3 * pixel + k]! += (colour[k]! - easel.albedo[3 * pixel + k]!) * cover
  easel.light[pixel]! += (light - easel.light[pixel]!) * cover
}
