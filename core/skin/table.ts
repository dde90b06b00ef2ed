/** A relief read off a grid: heights and slopes of the skin, mm and mm per mm. */
export interface ReliefTable {
  /** Height at (x, y), mm. */
  z: (x: number, y: number) => number
  /** Slopes [dz/dx, dz/dy] written into `out`. */
  slope: (x: number, y: number, out: Float64Array) => void
}

/**
 * Tabulates a relief once on a grid of 1 mm and reads it back with Catmull-Rom bicubics, which keep the slopes continuous.
 * @param relief height in mm at (x, y)
 * @param box the part of the skin frame to cover, mm
 */
export function tabulate(relief: (x: number, y: number) => number, box: { minX: number, minY: number, maxX: number, maxY: number }): ReliefTable {
  const x0 = box.minX - 2, y0 = box.minY - 2
  const nx = Math.ceil(box.maxX - x0) + 4, ny = Math.ceil(box.maxY - y0) + 4
  const grid = new Float64Array(nx * ny)
  for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++) grid[j * nx + i] = relief(x0 + i, y0 + j)
  const wx = new Float64Array(4), wy = new Float64Array(4), dx = new Float64Array(4), dy = new Float64Array(4)

  const locate = (v: number, n: number): [number, number] => {
    const cell = Math.min(n - 3, Math.max(1, Math.floor(v)))
    return [cell, Math.min(1, Math.max(0, v - cell))]
  }
  const sum = (i: number, j: number, a: Float64Array, b: Float64Array): number => {
    let total = 0
    for (let q = 0; q < 4; q++) {
      const row = (j - 1 + q) * nx + i - 1
      total += b[q]! * (a[0]! * grid[row]! + a[1]! * grid[row + 1]! + a[2]! * grid[row + 2]! + a[3]! * grid[row + 3]!)
    }
    return total
  }
  return {
    z(x, y) {
      const [i, u] = locate(x - x0, nx), [j, v] = locate(y - y0, ny)
      weights(u, wx)
      weights(v, wy)
      return sum(i, j, wx, wy)
    },
    slope(x, y, out) {
      const [i, u] = locate(x - x0, nx), [j, v] = locate(y - y0, ny)
      weights(u, wx)
      weights(v, wy)
      slopeWeights(u, dx)
      slopeWeights(v, dy)
      out[0] = sum(i, j, dx, wy)
      out[1] = sum(i, j, wx, dy)
    },
  }
}

function weights(t: number, w: Float64Array): void {
  const t2 = t * t, t3 = t2 * t
  w[0] = (-t3 + 2 * t2 - t) / 2
  w[1] = (3 * t3 - 5 * t2 + 2) / 2
  w[2] = (-3 * t3 + 4 * t2 + t) / 2
  w[3] = (t3 - t2) / 2
}

function slopeWeights(t: number, w: Float64Array): void {
  const t2 = t * t
  w[0] = (-3 * t2 + 4 * t - 1) / 2
  w[1] = (9 * t2 - 10 * t) / 2
  w[2] = (-9 * t2 + 8 * t + 1) / 2
  w[3] = (3 * t2 - 2 * t) / 2
}
