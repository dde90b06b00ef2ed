import type { Mask } from './coverage'

/**
 * Of each row of a field of pixels those in question, from the first to the one after the last; a row in which
 * there are none ends before it begins. What lies askew fills little of its box, so most rows are short.
 */
export class RowSpans {
  readonly first: Int32Array
  readonly end: Int32Array

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.first = new Int32Array(height).fill(width)
    this.end = new Int32Array(height)
  }

  /** Every pixel of a field. */
  static all(width: number, height: number): RowSpans {
    const spans = new RowSpans(width, height)
    spans.addAll()
    return spans
  }

  /** Takes in the pixels of row j from `from` to before `to`. */
  add(j: number, from: number, to: number): void {
    if (from < this.first[j]!) this.first[j] = from
    if (to > this.end[j]!) this.end[j] = to
  }

  addAll(): void {
    this.first.fill(0)
    this.end.fill(this.width)
  }

  /** Takes in a box of pixels, empty when i1 <= i0. */
  addBox({ i0, j0, i1, j1 }: { i0: number; j0: number; i1: number; j1: number }): void {
    if (i1 <= i0) return
    for (let j = j0; j < j1; j++) this.add(j, i0, i1)
  }

  /**
   * Takes in what a mask covers: as it knows it by the row, or else as it is found.
   * @param i0 where the mask's first pixel lies in this field; and j0
   */
  addMask({ width, height, data, spans }: Mask, i0: number, j0: number): void {
    for (let j = 0; j < height; j++) {
      let from = spans ? spans.first[j]! : 0
      let to = spans ? spans.end[j]! : width
      if (!spans) {
        const row = j * width
        while (from < to && data[row + from] === 0) from++
        while (to > from && data[row + to - 1] === 0) to--
      }
      if (from < to) this.add(j0 + j, i0 + from, i0 + to)
    }
  }

  /** Forgets all of it. */
  clear(): void {
    this.first.fill(this.width)
    this.end.fill(0)
  }
}
