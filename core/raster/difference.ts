import { converter } from 'culori'
import { smoothstep } from './grid'

const toOkLab = converter('oklab')
const labAt = (from: Uint8ClampedArray, p: number) =>
  toOkLab({ mode: 'rgb', r: from[p]! / 255, g: from[p + 1]! / 255, b: from[p + 2]! / 255 })

/** Nothing is shown below this difference in lightness and colour, and all of it from the second on (OKLab, Ottosson 2020). */
const SEEN = [0.02, 0.12] as const
/** What differs is shown in this colour, sRGB bytes. */
const MARK = [114, 42, 87] as const

/** Channels that differ by more than this, of 255, make a pixel another one; and every so many pixels are looked at. */
const ANOTHER = 12
const EVERY = 3

/**
 * Share of the pixels in which two pictures differ, 0 to 1: quick, by the channels of every third pixel.
 * @throws RangeError when they are not of one size
 */
export function differingShare(a: Uint8ClampedArray, b: Uint8ClampedArray): number {
  if (a.length !== b.length) throw new RangeError('Only pictures of one size can be compared.')
  let differing = 0
  let looked = 0
  for (let p = 0; p < a.length; p += 4 * EVERY) {
    looked++
    if (
      Math.abs(a[p]! - b[p]!) > ANOTHER ||
      Math.abs(a[p + 1]! - b[p + 1]!) > ANOTHER ||
      Math.abs(a[p + 2]! - b[p + 2]!) > ANOTHER
    )
      differing++
  }
  return looked ? differing / looked : 0
}

/** Where two pictures of one size differ: the first one pale and grey, with what is another marked over it. */
export interface Differing {
  readonly rgba: Uint8ClampedArray<ArrayBuffer>
  /** Share of the pixels that differ enough to be seen, 0 to 1. */
  readonly share: number
}

/**
 * Compares two pictures pixel by pixel by their distance in OKLab.
 * @param a sRGB bytes with alpha, 4 to the pixel
 * @param b the same, as many
 * @throws RangeError when they are not of one size
 */
export function differencePicture(a: Uint8ClampedArray, b: Uint8ClampedArray): Differing {
  if (a.length !== b.length) throw new RangeError('Only pictures of one size can be compared.')
  const rgba = new Uint8ClampedArray(a.length)
  let differing = 0
  for (let p = 0; p < a.length; p += 4) {
    const pale = 205 + 0.18 * ((a[p]! + 2 * a[p + 1]! + a[p + 2]!) / 4)
    let mark = 0
    if (a[p] !== b[p] || a[p + 1] !== b[p + 1] || a[p + 2] !== b[p + 2]) {
      const [before, after] = [labAt(a, p), labAt(b, p)]
      const far = Math.hypot(before.l - after.l, before.a - after.a, before.b - after.b)
      mark = smoothstep(SEEN[0], SEEN[1], far)
      if (far > SEEN[0]) differing++
    }
    for (let c = 0; c < 3; c++) rgba[p + c] = pale + mark * (MARK[c]! - pale)
    rgba[p + 3] = a[p + 3]!
  }
  return { rgba, share: differing / (a.length / 4) }
}
