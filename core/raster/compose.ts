import { srgbByte } from '../paint/colour'
import type { HeadPicture } from './head'

/**
 * The finished picture: painted skin under the head's light, with hair and eyes over it, as sRGB bytes.
 * Shade is a little warmer than light, as skin lets red light through.
 * @param paint reflectance of the painted skin, three linear values a pixel; the bare head's when left out
 * @returns RGBA bytes, four a pixel
 */
export function finishedPicture(head: HeadPicture, paint: Float32Array = head.albedo): Uint8ClampedArray<ArrayBuffer> {
  const n = head.light.length, out = new Uint8ClampedArray(4 * n), { light, gloss, over } = head
  for (let p = 0; p < n; p++) {
    const l = light[p]!, keep = 1 - over[4 * p + 3]!, shine = gloss[p]!
    const warm = l < 1 ? 0.1 * (1 - l) * l : 0
    out[4 * p] = srgbByte((paint[3 * p]! * (l + warm) + shine) * keep + over[4 * p]!)
    out[4 * p + 1] = srgbByte((paint[3 * p + 1]! * l + shine) * keep + over[4 * p + 1]!)
    out[4 * p + 2] = srgbByte((paint[3 * p + 2]! * (l - 0.5 * warm) + shine) * keep + over[4 * p + 2]!)
    out[4 * p + 3] = 255
  }
  return out
}
