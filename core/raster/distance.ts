import type { Mask } from './coverage'

/** Stands for "no edge in this row". */
const FAR = Math.fround(1e12)

/**
 * Distance of every pixel from the covered region, in pixels: 0 inside, exact Euclidean distance outside
 * (Felzenszwalb and Huttenlocher 2012, Theory of Computing 8:415). Pixels that are partly covered count by
 * their share, so that edges do not snap to whole pixels.
 * @param reach farther than this nothing need be told apart, pixels: a short one is searched through a
 *   window, which is quicker
 */
export function distanceFrom(mask: Mask, reach = Infinity): Float32Array {
  return reach <= WINDOW ? nearby(mask, Math.ceil(reach) + 1) : everywhere(mask)
}

/** Up to this reach a window is quicker than the envelope, pixels. */
const WINDOW = 10

const startOf = (c: number): number => (c >= 0.999 ? 0 : c > 0.004 ? (1 - c) ** 2 : FAR)

/** Distances up to a reach by the least sum within a window, along rows and then along columns. */
function nearby({ width, height, data }: Mask, reach: number): Float32Array {
  const rows = new Float32Array(width * height).fill(FAR)
  const first = new Int32Array(height).fill(width)
  const last = new Int32Array(height).fill(-1)
  for (let j = 0; j < height; j++) {
    const row = j * width
    let solid = false
    for (let i = 0; i < width; i++) {
      const c = data[row + i]!
      if (c <= 0.004) {
        solid = false
        continue
      }
      const start = startOf(c)
      const next = i < width - 1 && data[row + i + 1]! >= 0.999
      // Each covered pixel lowers its neighbours; inside a shape only its rim has anything to tell.
      const inside = start === 0 && solid && next
      const from = inside ? i : Math.max(0, i - reach)
      const to = inside ? i : Math.min(width - 1, i + reach)
      solid = start === 0
      for (let q = from; q <= to; q++) {
        const v = start + (q - i) * (q - i)
        if (v < rows[row + q]!) rows[row + q] = v
      }
      if (from < first[j]!) first[j] = from
      if (to > last[j]!) last[j] = to
    }
  }
  const out = rows.slice()
  for (let q = 0; q < height; q++) {
    const from = first[q]!
    const to = last[q]!
    const b = q * width
    for (let j = Math.max(0, q - reach), end = Math.min(height - 1, q + reach); j <= end; j++) {
      if (j === q) continue
      const d2 = (q - j) * (q - j)
      const a = j * width
      for (let i = from; i <= to; i++) {
        const v = rows[b + i]! + d2
        if (v < out[a + i]!) out[a + i] = v
      }
    }
  }
  for (let p = 0; p < out.length; p++)
    if (out[p]! > 0) out[p] = out[p]! >= FAR ? FAR : Math.max(0, Math.sqrt(out[p]!) - 0.5)
  return out
}

function everywhere({ width, height, data }: Mask): Float32Array {
  const out = new Float32Array(width * height)
  const long = Math.max(width, height)
  const f = new Float64Array(long)
  const d = new Float64Array(long)
  const v = new Int32Array(long)
  const z = new Float64Array(long + 1)
  for (let p = 0; p < out.length; p++) out[p] = startOf(data[p]!)
  for (let i = 0; i < width; i++) line(i, width, height)
  for (let j = 0; j < height; j++) line(j * width, 1, width)
  // Half a pixel lies between a covered pixel's middle and the edge itself.
  for (let p = 0; p < out.length; p++) out[p] = Math.max(0, Math.sqrt(out[p]!) - 0.5)
  return out

  /** The lower envelope of the parabolas that stand on one line of the grid. */
  function line(from: number, step: number, n: number): void {
    let k = -1
    for (let q = 0; q < n; q++) {
      const value = out[from + q * step]!
      f[q] = value
      if (value >= FAR) continue
      let s = -Infinity
      while (k >= 0) {
        const p = v[k]!
        s = (value + q * q - (f[p]! + p * p)) / (2 * (q - p))
        if (s > z[k]!) break
        k--
      }
      if (k < 0) s = -Infinity
      k++
      v[k] = q
      z[k] = s
      z[k + 1] = Infinity
    }
    if (k < 0) return
    for (let q = 0, i = 0; q < n; q++) {
      while (z[i + 1]! < q) i++
      const p = v[i]!
      d[q] = (q - p) ** 2 + f[p]!
    }
    for (let q = 0; q < n; q++) out[from + q * step] = d[q]!
  }
}
