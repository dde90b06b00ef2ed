import type { Point } from '../geometry'
import { taken, type Homography } from './homography'
import type { Picture } from './picture'

/**
 * How a lens bends a picture: a point lies (1 + k r2) times as far from the picture's middle as through a
 * straight lens, r as a share of half its diagonal (the first term of Brown 1971).
 */
export interface Lens {
  readonly k: number
}

/** Where the millimetres of a flat region lie in a picture. */
export interface Frame {
  /** Size of the region, mm; its frame begins at its upper left corner. */
  readonly width: number
  readonly height: number
  /** From mm to pixels of the picture as a straight lens would have taken it. */
  readonly toPicture: Homography
  readonly lens: Lens | null
}

/** Bends a point of a picture as its lens did. */
export function bent(lens: Lens, [x, y]: Point, width: number, height: number): Point {
  const half = Math.hypot(width, height) / 2
  const u = (x - width / 2) / half
  const v = (y - height / 2) / half
  const k = 1 + lens.k * (u * u + v * v)
  return [width / 2 + u * k * half, height / 2 + v * k * half]
}

/** The reverse of `bent`, by fixed-point iteration: lenses of telephones bend by a few per cent. */
export function unbent(lens: Lens, [x, y]: Point, width: number, height: number): Point {
  const half = Math.hypot(width, height) / 2
  const u = (x - width / 2) / half
  const v = (y - height / 2) / half
  let s = u
  let t = v
  for (let n = 0; n < 12; n++) {
    const k = 1 + lens.k * (s * s + t * t)
    s = u / k
    t = v / k
  }
  return [width / 2 + s * half, height / 2 + t * half]
}

/** Pixels of the picture to the millimetre in the middle of a frame. */
function finenessOf({ toPicture: h, width, height }: Frame): number {
  const [x, y] = [width / 2, height / 2]
  const o = taken(h, x, y)
  const a = taken(h, x + 1, y)
  const b = taken(h, x, y + 1)
  return Math.sqrt(Math.abs((a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])))
}

/** Pixels that a levelled picture has at most. */
const MOST_PIXELS = 16e6
/** Finer than this nothing is gained: an edge is found to a tenth of a pixel, here 0.008 mm. */
const FINEST = 13

/** At how many pixels to the millimetre a frame is levelled: as fine as its picture. */
export function levelFineness(frame: Frame, marginMm: number): number {
  const area = (frame.width + 2 * marginMm) * (frame.height + 2 * marginMm)
  return Math.min(finenessOf(frame), FINEST, Math.sqrt(MOST_PIXELS / area))
}

/** A picture seen straight from above, at `fineness` pixels to the millimetre. */
export interface Levelled extends Picture {
  readonly fineness: number
  /** Millimetres that it shows beyond its frame on every side. */
  readonly margin: number
}

/**
 * A picture with its perspective and its lens taken out: bilinear, with the outermost pixel going on past the
 * picture's edge.
 * @param onProgress called with the share done
 */
export function levelled(
  picture: Picture,
  frame: Frame,
  fineness: number,
  margin: number,
  onProgress: (done: number) => void = () => {},
): Levelled {
  const width = Math.max(2, Math.round((frame.width + 2 * margin) * fineness))
  const height = Math.max(2, Math.round((frame.height + 2 * margin) * fineness))
  const out = new Uint8ClampedArray(4 * width * height).fill(255)
  const { data } = picture
  const [a, b, c, d, e, f, g, h] = frame.toPicture as readonly number[]
  const mostX = picture.width - 1.001
  const mostY = picture.height - 1.001
  const row = 4 * picture.width
  for (let j = 0; j < height; j++) {
    const y = (j + 0.5) / fineness - margin
    for (let i = 0, o = 4 * j * width; i < width; i++, o += 4) {
      const x = (i + 0.5) / fineness - margin
      const w = 1 / (g! * x + h! * y + 1)
      let px = (a! * x + b! * y + c!) * w
      let py = (d! * x + e! * y + f!) * w
      if (frame.lens) [px, py] = bent(frame.lens, [px, py], picture.width, picture.height)
      px = Math.min(mostX, Math.max(0, px - 0.5))
      py = Math.min(mostY, Math.max(0, py - 0.5))
      const u = px | 0
      const v = py | 0
      const s = px - u
      const t = py - v
      const k = v * row + 4 * u
      const w00 = (1 - s) * (1 - t)
      const w10 = s * (1 - t)
      const w01 = (1 - s) * t
      const w11 = s * t
      out[o] = data[k]! * w00 + data[k + 4]! * w10 + data[k + row]! * w01 + data[k + row + 4]! * w11
      out[o + 1] =
        data[k + 1]! * w00 + data[k + 5]! * w10 + data[k + row + 1]! * w01 + data[k + row + 5]! * w11
      out[o + 2] =
        data[k + 2]! * w00 + data[k + 6]! * w10 + data[k + row + 2]! * w01 + data[k + row + 6]! * w11
    }
    if (j % 256 === 0) onProgress(j / height)
  }
  return { width, height, data: out, fineness, margin }
}
