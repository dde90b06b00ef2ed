import { boxOf, type Ring } from './ring'

/** A ring has an edge in few bands if they are as many as this share of its edges. */
const EDGES_A_BAND = 2

/**
 * The test whether a ring holds a point, for one that is asked of many points: its edges are kept by the bands
 * of y that they cross, and only those beside a point are looked at. Says exactly what `ringHolds` says.
 */
export function holderOf(ring: Ring): (x: number, y: number) => boolean {
  const { minY, maxY } = boxOf(ring)
  const edges = ring.length / 2
  const bands = Math.max(1, Math.floor(edges / EDGES_A_BAND))
  const per = maxY > minY ? bands / (maxY - minY) : 0
  const bandOf = (y: number): number => Math.min(bands - 1, Math.floor((y - minY) * per))
  const kept = Array.from({ length: bands }, (): number[] => [])
  for (let i = 0, j = ring.length - 2; i < ring.length; j = i, i += 2) {
    const from = bandOf(Math.min(ring[i + 1]!, ring[j + 1]!))
    const to = bandOf(Math.max(ring[i + 1]!, ring[j + 1]!))
    for (let b = from; b <= to; b++) kept[b]!.push(ring[i]!, ring[i + 1]!, ring[j]!, ring[j + 1]!)
  }
  const banded = kept.map(list => Float64Array.from(list))
  return (x, y) => {
    // Past the ends no edge is crossed; what is no number lies nowhere.
    if (!(y >= minY && y <= maxY)) return false
    const list = banded[bandOf(y)]!
    let inside = false
    for (let k = 0; k < list.length; k += 4) {
      const yi = list[k + 1]!
      const yj = list[k + 3]!
      if (yi > y !== yj > y && x < ((list[k + 2]! - list[k]!) * (y - yi)) / (yj - yi) + list[k]!)
        inside = !inside
    }
    return inside
  }
}
