import type { LinearRgb } from '../../paint/colour'
import { LIGHTS, type Light, type Way } from '../../paint/lights'
import type { SkinLayers } from './skinLayers'

/** The quiet colour around the face. */
export const STAGE = '#E9E6E0'

const dot = (nx: number, ny: number, nz: number, way: Way): number => nx * way[0] + ny * way[1] + nz * way[2]

/** How much of a light falls on skin of a unit normal (1 = full), and how much shine it sends to the painter. */
export function lightOn(of: Light, nx: number, ny: number, nz: number): { light: number; gloss: number } {
  // Skin lets light round its edges: the lamp reaches past where it would end on a stone.
  const key = Math.max(0, dot(nx, ny, nz, of.key) * (1 - of.wrap) + of.wrap)
  const fill = Math.max(0, dot(nx, ny, nz, of.fill))
  return {
    light: of.ambient + of.strength * key + of.filled * fill - 0.04 * ny,
    gloss: of.gloss * Math.max(0, dot(nx, ny, nz, of.half)) ** 22,
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
export function hairLight(
  of: Light,
  t: Float64Array,
  n: Float64Array,
  shift: number,
  out: Float64Array,
): void {
  const facing = dot(n[0]!, n[1]!, n[2]!, of.key)
  const shown = Math.min(1, Math.max(0, facing * 0.85 + 0.3))
  // Powers of 90 and 22, by squaring: asked of every piece of every strand.
  const w = across(t, n, shift, of.half)
  const w2 = w * w
  const w8 = w2 * w2 * w2 * w2
  const w16 = w8 * w8
  const c = across(t, n, shift - 0.16, of.half)
  const c2 = c * c
  const c4 = c2 * c2
  const strength = of.strength / LIGHTS.lamp.strength
  out[0] = 0.28 + 0.4 * (of.ambient - LIGHTS.lamp.ambient) + 0.72 * across(t, n, 0, of.key) * shown * strength
  out[1] = w16 * w16 * w16 * w16 * w16 * w8 * w2 * shown * (of.gloss / LIGHTS.lamp.gloss)
  out[2] = c4 * c4 * c4 * c4 * c4 * c2 * shown * strength
}

/** Lays a colour under some light on one pixel. */
export function lay(easel: SkinLayers, pixel: number, cover: number, colour: LinearRgb, light: number): void {
  for (let k = 0; k < 3; k++)
    easel.albedo[3 * pixel + k]! += (colour[k]! - easel.albedo[3 * pixel + k]!) * cover
  easel.light[pixel]! += (light - easel.light[pixel]!) * cover
}
