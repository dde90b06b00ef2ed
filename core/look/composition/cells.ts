import { boxOf, type Ring } from '../../geometry'

/** Side of a cell, mm: prints that lie nearer than that touch, since paint creeps. */
const CELL = 1

/** Cells of the skin that some rings cover or touch. */
export class Cells {
  private readonly rows = new Map<number, Uint8Array>()
  private x0 = Infinity
  private x1 = -Infinity
  private y0 = Infinity
  private y1 = -Infinity

  /** @param rings closed outlines on the skin, mm; what they enclose counts, holes too small to matter as well */
  constructor(rings: readonly Ring[]) {
    for (const ring of rings) {
      const b = boxOf(ring)
      this.x0 = Math.min(this.x0, Math.floor(b.minX / CELL))
      this.x1 = Math.max(this.x1, Math.floor(b.maxX / CELL))
      this.y0 = Math.min(this.y0, Math.floor(b.minY / CELL))
      this.y1 = Math.max(this.y1, Math.floor(b.maxY / CELL))
    }
    for (const ring of rings) this.add(ring)
  }

  private add(ring: Ring): void {
    const b = boxOf(ring)
    for (let j = Math.floor(b.minY / CELL); j <= Math.floor(b.maxY / CELL); j++) {
      for (const [from, to] of spansOf(ring, (j + 0.5) * CELL)) this.mark(j, from, to)
    }
    // The outline itself, so that what is thinner than a cell counts too.
    for (let i = 0; i < ring.length; i += 2) {
      const k = (i + 2) % ring.length
      const n = Math.max(
        1,
        Math.ceil((2 * Math.hypot(ring[k]! - ring[i]!, ring[k + 1]! - ring[i + 1]!)) / CELL),
      )
      for (let s = 0; s < n; s++) {
        const x = ring[i]! + ((ring[k]! - ring[i]!) * s) / n
        this.mark(Math.floor((ring[i + 1]! + ((ring[k + 1]! - ring[i + 1]!) * s) / n) / CELL), x, x)
      }
    }
  }

  private mark(j: number, from: number, to: number): void {
    let row = this.rows.get(j)
    if (!row) this.rows.set(j, (row = new Uint8Array(this.x1 - this.x0 + 1)))
    row.fill(1, Math.max(0, Math.floor(from / CELL) - this.x0), Math.floor(to / CELL) - this.x0 + 1)
  }

  /** Whether some cell belongs to both. */
  meets(other: Cells): boolean {
    const x0 = Math.max(this.x0, other.x0)
    const x1 = Math.min(this.x1, other.x1)
    for (let j = Math.max(this.y0, other.y0); j <= Math.min(this.y1, other.y1); j++) {
      const a = this.rows.get(j)
      const b = other.rows.get(j)
      if (!a || !b) continue
      for (let x = x0; x <= x1; x++) if (a[x - this.x0] && b[x - other.x0]) return true
    }
    return false
  }
}

/** Where a level line runs inside a ring, as pairs of x. */
function spansOf(ring: Ring, y: number): [number, number][] {
  const xs: number[] = []
  for (let i = 0, k = ring.length - 2; i < ring.length; k = i, i += 2) {
    const ay = ring[k + 1]!
    const by = ring[i + 1]!
    if (ay > y !== by > y) xs.push(ring[k]! + ((ring[i]! - ring[k]!) * (y - ay)) / (by - ay))
  }
  xs.sort((a, b) => a - b)
  return Array.from({ length: xs.length >> 1 }, (_, n) => [xs[2 * n]!, xs[2 * n + 1]!])
}
