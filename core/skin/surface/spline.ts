import type { Box } from '../../geometry'

/** A height field read off a grid, with everything that geodesics need of it. */
export interface HeightTable {
  /** Height at (x, y), mm. */
  z: (x: number, y: number) => number
  /**
   * Writes height and derivatives z, z_x, z_y, z_xx, z_xy, z_yy into `out` (6 values; mm, 1, 1/mm).
   * @param at x and y where they are asked for: by their store, as numbers that are handed on one by one are
   *   wrapped each time, and rays ask a hundred thousand times
   */
  jet: (at: Float64Array, out: Float64Array) => void
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
    jet(at, out) {
      const u = locate(at[0]! - x0, nx)
      const v = locate(at[1]! - y0, ny)
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
      // Row by row, written out: followed rays spend their time here.
      const r0 = (j - 1) * nx + i - 1
      const r1 = r0 + nx
      const r2 = r1 + nx
      const r3 = r2 + nx
      const g00 = grid[r0]!
      const g01 = grid[r0 + 1]!
      const g02 = grid[r0 + 2]!
      const g03 = grid[r0 + 3]!
      const g10 = grid[r1]!
      const g11 = grid[r1 + 1]!
      const g12 = grid[r1 + 2]!
      const g13 = grid[r1 + 3]!
      const g20 = grid[r2]!
      const g21 = grid[r2 + 1]!
      const g22 = grid[r2 + 2]!
      const g23 = grid[r2 + 3]!
      const g30 = grid[r3]!
      const g31 = grid[r3 + 1]!
      const g32 = grid[r3 + 2]!
      const g33 = grid[r3 + 3]!
      const line0 = a0 * g00 + a1 * g01 + a2 * g02 + a3 * g03
      const slope0 = d0 * g00 + d1 * g01 + d2 * g02 + d3 * g03
      const bend0 = e0 * g00 + e1 * g01 + e2 * g02 + e3 * g03
      const line1 = a0 * g10 + a1 * g11 + a2 * g12 + a3 * g13
      const slope1 = d0 * g10 + d1 * g11 + d2 * g12 + d3 * g13
      const bend1 = e0 * g10 + e1 * g11 + e2 * g12 + e3 * g13
      const line2 = a0 * g20 + a1 * g21 + a2 * g22 + a3 * g23
      const slope2 = d0 * g20 + d1 * g21 + d2 * g22 + d3 * g23
      const bend2 = e0 * g20 + e1 * g21 + e2 * g22 + e3 * g23
      const line3 = a0 * g30 + a1 * g31 + a2 * g32 + a3 * g33
      const slope3 = d0 * g30 + d1 * g31 + d2 * g32 + d3 * g33
      const bend3 = e0 * g30 + e1 * g31 + e2 * g32 + e3 * g33
      out[0] = b0 * line0 + b1 * line1 + b2 * line2 + b3 * line3
      out[1] = b0 * slope0 + b1 * slope1 + b2 * slope2 + b3 * slope3
      out[2] = c0 * line0 + c1 * line1 + c2 * line2 + c3 * line3
      out[3] = b0 * bend0 + b1 * bend1 + b2 * bend2 + b3 * bend3
      out[4] = c0 * slope0 + c1 * slope1 + c2 * slope2 + c3 * slope3
      out[5] = (1 - t) * line0 + (3 * t - 2) * line1 + (1 - 3 * t) * line2 + t * line3
    },
  }
}
