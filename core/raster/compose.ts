import { srgbByte, type LinearRgb } from '../paint/colour'
import type { HeadPicture } from './head'
import type { Painted } from './painted'
import { RowSpans } from './rowSpans'

/** How strongly pearl and metal send the lamp back where the skin faces it, and how broad that is. */
const SHINE = { broad: 0.16, sharp: 2.4 } as const

/**
 * Writes some pixels of the finished picture into `out`, as sRGB bytes: painted skin under the head's light, with
 * sheen where the paint has one, and hair and eyes over it. Shade is a little warmer than light, as skin lets
 * red light through.
 */
export function finishPixels(
  head: HeadPicture,
  { paint, sheen }: Painted,
  { first, end, height }: RowSpans,
  out: Uint8ClampedArray,
): void {
  const { light, gloss, over, grid } = head
  const [tr, tg, tb] = head.tint ?? WHITE
  // A pixel is written as one number, red in its lowest byte: four writes would take as long as all the rest.
  const pixels = new Uint32Array(out.buffer, out.byteOffset, out.length / 4)
  for (let j = 0; j < height; j++) {
    const last = j * grid.width + end[j]!
    for (let p = j * grid.width + first[j]!; p < last; p++) {
      const l = light[p]!
      const mirror = gloss[p]!
      const shine = sheen[p]!
      const hidden = over[4 * p + 3]!
      const warm = l < 1 ? 0.1 * (1 - l) * l : 0
      const r = paint[3 * p]!
      const g = paint[3 * p + 1]!
      const b = paint[3 * p + 2]!
      let red = r * (l + warm) + mirror
      let green = g * l + mirror
      let blue = b * (l - 0.5 * warm) + mirror
      // Most skin has neither sheen nor hair: it goes by both.
      if (shine > 0) {
        const bright = l > 0.7 ? (l - 0.7) * (l - 0.7) * 5 : 0
        const metal = shine * (SHINE.broad * bright + SHINE.sharp * mirror)
        // A metal's shine has some of its own colour.
        red += metal * (0.4 + 0.8 * r)
        green += metal * (0.4 + 0.8 * g)
        blue += metal * (0.4 + 0.8 * b)
      }
      if (hidden > 0) {
        red = red * (1 - hidden) + over[4 * p]!
        green = green * (1 - hidden) + over[4 * p + 1]!
        blue = blue * (1 - hidden) + over[4 * p + 2]!
      }
      pixels[p] = OPAQUE | (srgbByte(blue * tb) << 16) | (srgbByte(green * tg) << 8) | srgbByte(red * tr)
    }
  }
}
const OPAQUE = 0xff000000
const WHITE: LinearRgb = [1, 1, 1]

/** The finished picture of painted skin; the bare head when none is given. Four sRGB bytes a pixel. */
export function finishedPicture(
  head: HeadPicture,
  painted: Painted = { paint: head.albedo, sheen: new Float32Array(head.light.length) },
): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(4 * head.light.length)
  const { width, height } = head.grid
  finishPixels(head, painted, RowSpans.all(width, height), out)
  return out
}

/** The skin without any light, painted or bare, as sRGB bytes: what a lit model wears. */
export function skinTexture(
  { over, light, albedo }: HeadPicture,
  painted?: Painted,
): Uint8ClampedArray<ArrayBuffer> {
  const paint = painted?.paint ?? albedo
  const n = light.length
  const out = new Uint8ClampedArray(4 * n)
  for (let p = 0; p < n; p++) {
    const keep = 1 - over[4 * p + 3]!
    for (let k = 0; k < 3; k++) out[4 * p + k] = srgbByte(paint[3 * p + k]! * keep + over[4 * p + k]!)
    out[4 * p + 3] = 255
  }
  return out
}
