import type { LinearRgb } from '../paint'
import type { Mask } from './coverage'
import type { HeadPicture } from './head'
import type { PixelBox } from './painted'
import { RowSpans } from './rowSpans'

/** A print that a coarse picture hardly shows, such as a hair line, is not judged by it. */
const LEAST_COVER = 0.2

/** What all masks together cover, one value a pixel of their box, and where there may be any. */
interface Cover {
  readonly values: Float32Array
  readonly spans: RowSpans
}

function coverOf(masks: readonly Mask[], box: PixelBox): Cover {
  const w = Math.max(0, box.i1 - box.i0)
  const h = Math.max(0, box.j1 - box.j0)
  const values = new Float32Array(w * h)
  const spans = new RowSpans(w, h)
  for (const m of masks) {
    const [i0, j0] = [m.i0 - box.i0, m.j0 - box.j0]
    spans.addMask(m, i0, j0)
    for (let j = 0; j < m.height; j++) {
      const first = m.spans ? m.spans.first[j]! : 0
      const end = m.spans ? m.spans.end[j]! : m.width
      for (let i = first, at = (j0 + j) * w + i0 + first; i < end; i++, at++)
        values[at] = 1 - (1 - values[at]!) * (1 - m.data[j * m.width + i]!)
    }
  }
  return { values, spans }
}

/**
 * A few pixels of a print, spread evenly over what it covers, with their colours beneath it and with it: how
 * it shows is judged by them.
 */
export class Samples {
  /** Pixels in the picture, by column and row. */
  private readonly columns: Int32Array
  private readonly rows: Int32Array
  private readonly colours: Float32Array
  private readonly width: number

  /** @param most of how many pixels at most */
  constructor(masks: readonly Mask[], box: PixelBox, head: HeadPicture, most: number) {
    const chosen = pixelsOf(coverOf(masks, box), box, head, most)
    const w = box.i1 - box.i0
    this.columns = Int32Array.from(chosen, n => box.i0 + (n % w))
    this.rows = Int32Array.from(chosen, n => box.j0 + Math.floor(n / w))
    this.colours = new Float32Array(6 * chosen.length)
    this.width = head.grid.width
  }

  /**
   * Takes in the colours of pixels that were laid anew. Returns whether there were any.
   * @param under what lies beneath in the print's box
   * @param now the painted skin, the print on it and nothing above
   */
  changed(clip: PixelBox, under: Float32Array, box: PixelBox, now: Float32Array): boolean {
    let any = false
    for (let s = 0; s < this.columns.length; s++) {
      const i = this.columns[s]!
      const j = this.rows[s]!
      if (i < clip.i0 || i >= clip.i1 || j < clip.j0 || j >= clip.j1) continue
      const n = 3 * ((j - box.j0) * (box.i1 - box.i0) + i - box.i0)
      const p = 3 * (j * this.width + i)
      for (let b = 0; b < 3; b++) {
        this.colours[6 * s + b] = under[n + b]!
        this.colours[6 * s + 3 + b] = now[p + b]!
      }
      any = true
    }
    return any
  }

  /** Colours beneath and with the print, a pair a pixel. */
  pairs(): [LinearRgb, LinearRgb][] {
    const { colours } = this
    return Array.from({ length: this.columns.length }, (_, s) => {
      const at = (k: number): LinearRgb => [
        colours[6 * s + k]!,
        colours[6 * s + k + 1]!,
        colours[6 * s + k + 2]!,
      ]
      return [at(0), at(3)]
    })
  }
}

/** Numbers of pixels of a box that are well covered, every so many of them. */
function pixelsOf(
  { values, spans: { first, end, width } }: Cover,
  box: PixelBox,
  { over, skin, grid }: HeadPicture,
  most: number,
): Int32Array {
  let fullest = 0
  let within = 0
  for (let j = 0; j < first.length; j++) {
    within += Math.max(0, end[j]! - first[j]!)
    for (let n = j * width + first[j]!; n < j * width + end[j]!; n++)
      if (values[n]! > fullest) fullest = values[n]!
  }
  const inside = 0.75 * fullest
  if (inside < LEAST_COVER) return new Int32Array(0)
  const all = new Int32Array(within)
  let count = 0
  for (let j = 0; j < first.length; j++) {
    const row = (box.j0 + j) * grid.width + box.i0
    for (let i = first[j]!, n = j * width + i, p = row + i; i < end[j]!; i++, n++, p++) {
      // Pixels at the edge, and such as hair covers, say nothing of the print.
      if (values[n]! >= inside && over[4 * p + 3]! < 0.1 && skin[p]! > 0.9) all[count++] = n
    }
  }
  const every = Math.max(1, Math.floor(count / most))
  return Int32Array.from({ length: Math.ceil(count / every) }, (_, i) => all[i * every]!)
}

/** Pairs of colours as they are seen under a light of some colour. */
export const underLight = (
  pairs: readonly [LinearRgb, LinearRgb][],
  tint: LinearRgb | undefined,
): [LinearRgb, LinearRgb][] => {
  const lit = ([r, g, b]: LinearRgb): LinearRgb =>
    tint ? [r * tint[0], g * tint[1], b * tint[2]] : [r, g, b]
  return pairs.map(([over, under]) => [lit(over), lit(under)])
}
