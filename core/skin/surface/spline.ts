import type { Box } from '../../geometry'

/** A height field read off a grid, with everything that geodesics need of it. */
export interface HeightTable {
  /** Height at (x, y), mm. */
  z: (x: number, y: number) => number
  /**
   * Writes height and derivatives z, z_x, z_y, z_xx, z_xy, z_yy at (x, y) into `out` (6 values; mm, 1, 1/mm).
   */
  jet: (x: number, y: number, out: Float64Array) => void
}

/**
 * Pole of the recursive filter that turns samples into cubic B-spline coefficients (Unser 1999, Splines: a
 * perfect fit, IEEE SPM 16:22).
 */
const POLE = Math.sqrt(3) - 2

/**
 * Turns samples in place into the coefficients of the cubic B-spline through them; `step` and `n` pick a line
 * of the grid.
 */
function prefilter(grid: Float64Array, from: number, step: number, n: number): void {
  let first = 0,
    power = 1
  for (let i = 0; i < Math.min(n, 28); i++) {
    first += grid[from + i * step]! * power
    power *= POLE
  }
  grid[from] = first
  for (let i = 1; i < n; i++) grid[from + i * step]! += POLE * grid[from + (i - 1) * step]!
  const last = from + (n - 1) * step
  grid[last] = (POLE / (POLE * POLE - 1)) * (grid[last]! + POLE * grid[last - step]!)
  for (let i = n - 2; i >= 0; i--)
    grid[from + i * step] = POLE * (grid[from + (i + 1) * step]! - grid[from + i * step]!)
  for (let i = 0; i < n; i++) grid[from + i * step]! *= 6
}

/**
 * Tabulates a relief once on a grid of 1 mm and reads it back with cubic B-splines, which keep second
 * derivatives continuous.
 * @param relief height in mm at (x, y)
 * @param box the part of the skin frame to cover, mm; past it the rim's values go on
 */
export function tabulated(relief: (x: number, y: number) => number, box: Readonly<Box>): HeightTable {
  const x0 = Math.floor(box.minX) - 2
  const y0 = Math.floor(box.minY) - 2
  const nx = Math.ceil(box.maxX) - x0 + 3
  const ny = Math.ceil(box.maxY) - y0 + 3
  const grid = new Float64Array(nx * ny)
  for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++) grid[j * nx + i] = relief(x0 + i, y0 + j)
  for (let j = 0; j < ny; j++) prefilter(grid, j * nx, 1, nx)
  for (let i = 0; i < nx; i++) prefilter(grid, i, nx, ny)
  const locate = (v: number, n: number) => (v < 1 ? 1 : v > n - 3 ? n - 3 : v)
  return {
    z(x, y) {
      const u = locate(x - x0, nx)
      const v = locate(y - y0, ny)
      const i = Math.min(nx - 4, Math.floor(u))
      const j = Math.min(ny - 4, Math.floor(v))
      const s = u - i
      const t = v - j
      const s2 = s * s
      const s3 = s2 * s
      const t2 = t * t
      const t3 = t2 * t
      const a0 = 1 - 3 * s + 3 * s2 - s3
      const a1 = 4 - 6 * s2 + 3 * s3
      const a2 = 1 + 3 * s + 3 * s2 - 3 * s3
      const b0 = 1 - 3 * t + 3 * t2 - t3
      const b1 = 4 - 6 * t2 + 3 * t3
      const b2 = 1 + 3 * t + 3 * t2 - 3 * t3
      let sum = 0
      for (let q = 0, row = (j - 1) * nx + i - 1; q < 4; q++, row += nx)
        sum +=
          (q === 0 ? b0 : q === 1 ? b1 : q === 2 ? b2 : t3) *
          (a0 * grid[row]! + a1 * grid[row + 1]! + a2 * grid[row + 2]! + s3 * grid[row + 3]!)
      return sum / 36
    },
    jet(x, y, out) {
      const u = locate(x - x0, nx)
      const v = locate(y - y0, ny)
      const i = Math.min(nx - 4, Math.floor(u))
      const j = Math.min(ny - 4, Math.floor(v))
      const s = u - i
      const t = v - j
      const s2 = s * s
      const s3 = s2 * s
      const t2 = t * t
      const t3 = t2 * t
      const a0 = (1 - 3 * s + 3 * s2 - s3) / 6
      const a1 = (4 - 6 * s2 + 3 * s3) / 6
      const a2 = (1 + 3 * s + 3 * s2 - 3 * s3) / 6
      const a3 = s3 / 6
      const d0 = -(1 - 2 * s + s2) / 2
      const d1 = (3 * s2 - 4 * s) / 2
      const d2 = (1 + 2 * s - 3 * s2) / 2
      const d3 = s2 / 2
      const e0 = 1 - s
      const e1 = 3 * s - 2
      const e2 = 1 - 3 * s
      const e3 = s
      const b0 = (1 - 3 * t + 3 * t2 - t3) / 6
      const b1 = (4 - 6 * t2 + 3 * t3) / 6
      const b2 = (1 + 3 * t + 3 * t2 - 3 * t3) / 6
      const b3 = t3 / 6
      const c0 = -(1 - 2 * t + t2) / 2
      const c1 = (3 * t2 - 4 * t) / 2
      const c2 = (1 + 2 * t - 3 * t2) / 2
      const c3 = t2 / 2
      let z = 0,
        zx = 0,
        zy = 0,
        zxx = 0,
        zxy = 0,
        zyy = 0
      for (let q = 0, row = (j - 1) * nx + i - 1; q < 4; q++, row += nx) {
        const g0 = grid[row]!
        const g1 = grid[row + 1]!
        const g2 = grid[row + 2]!
        const g3 = grid[row + 3]!
        const line = a0 * g0 + a1 * g1 + a2 * g2 + a3 * g3
        const slope = d0 * g0 + d1 * g1 + d2 * g2 + d3 * g3
        const bend = e0 * g0 + e1 * g1 + e2 * g2 + e3 * g3
        const b = q === 0 ? b0 : q === 1 ? b1 : q === 2 ? b2 : b3
        const c = q === 0 ? c0 : q === 1 ? c1 : q === 2 ? c2 : c3
        z += b * line
        zx += b * slope
        zy += c * line
        zxx += b * bend
        zxy += c * slope
        zyy += (q === 0 ? 1 - t : q === 1 ? 3 * t - 2 : q === 2 ? 1 - 3 * t : t) * line
      }
      out[0] = z
      out[1] = zx
      out[2] = zy
      out[3] = zxx
      out[4] = zxy
      out[5] = zyy
    },
  }
}
