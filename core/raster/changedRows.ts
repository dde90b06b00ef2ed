import type { Mask } from './coverage'
import type { PixelBox } from './painted'

/** Pixels of a picture that changed: of each row the first and the one after the last. */
export class ChangedRows {
  private readonly first: Int32Array
  private readonly end: Int32Array

  constructor(
    private readonly width: number,
    height: number,
  ) {
    this.first = new Int32Array(height).fill(width)
    this.end = new Int32Array(height)
  }

  /** All of the picture has changed. */
  addAll(): void {
    this.first.fill(0)
    this.end.fill(this.width)
  }

  addBox({ i0, j0, i1, j1 }: PixelBox): void {
    if (i1 <= i0) return
    for (let j = j0; j < j1; j++) this.addRow(j, i0, i1)
  }

  /** What a mask covers has changed. */
  addMask({ i0, j0, width, height, data }: Mask): void {
    for (let j = 0; j < height; j++) {
      const row = j * width
      let a = 0
      while (a < width && data[row + a] === 0) a++
      if (a === width) continue
      let b = width
      while (data[row + b - 1] === 0) b--
      this.addRow(j0 + j, i0 + a, i0 + b)
    }
  }

  private addRow(j: number, a: number, b: number): void {
    if (a < this.first[j]!) this.first[j] = a
    if (b > this.end[j]!) this.end[j] = b
  }

  /** Calls `visit` with each row that changed as a box, and forgets them. */
  take(visit: (row: PixelBox) => void): void {
    const { first, end, width } = this
    for (let j = 0; j < first.length; j++) {
      if (first[j]! < end[j]!) visit({ i0: first[j]!, j0: j, i1: end[j]!, j1: j + 1 })
      first[j] = width
      end[j] = 0
    }
  }
}
