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
  const key = Math.max(0, (nx * KEY[0] + ny * KEY[1] + nz * KEY[2]) * 0.9 + 0.1)
  const fill = Math.max(0, nx * FILL[0] + ny * FILL[1] + nz * FILL[2])
  return {
    light: 0.2 + 0.85 * key + 0.16 * fill - 0.05 * ny,
    gloss: 0.045 * Math.max(0, nx * HALF[0] + ny * HALF[1] + nz * HALF[2]) ** 22,
  }
}

/** Lays a colour under some light on one pixel. */
export function lay(easel: SkinLayers, pixel: number, cover: number, colour: LinearRgb, light: number): void {
  for (let k = 0; k < 3; k++)
    easel.albedo[3 * pixel + k]! += (colour[k]! - easel.albedo[3 * pixel + k]!) * cover
  easel.light[pixel]! += (light - easel.light[pixel]!) * cover
}
