import type { Box } from '../../geometry'
import { blurred, type Mask } from '../coverage'
import type { Grid } from '../grid'

/**
 * Values that change slowly over the skin, worked out for cells of at most 0.75 mm of a mask and read linearly
 * for each pixel of the grid. A cell is worked out when a pixel first asks for it: a mask may cover little of its
 * box.
 * @param n how many values there are
 * @param values writes them for a place, mm
 * @returns what writes them for a pixel
 */
export function onCells(
  mask: Mask,
  grid: Grid,
  n: number,
  values: (x: number, y: number, out: Float64Array) => void,
): (pixel: number, out: Float64Array) => void {
  const cell = Math.max(1, Math.floor(0.75 * grid.pxPerMm))
  const nx = Math.ceil(mask.width / cell) + 1
  const ny = Math.ceil(mask.height / cell) + 1
  const data = new Float32Array(nx * ny * n)
  const known = new Uint8Array(nx * ny)
  const here = new Float64Array(n)
  /** Where the values of a cell stand. */
  const at = (u: number, v: number): number => {
    const c = v * nx + u
    const o = c * n
    if (known[c]) return o
    known[c] = 1
    values(
      grid.x0 + (mask.i0 + u * cell + 0.5) / grid.pxPerMm,
      grid.y0 + (mask.j0 + v * cell + 0.5) / grid.pxPerMm,
      here,
    )
    for (let k = 0; k < n; k++) data[o + k] = here[k]!
    return o
  }
  return (pixel, out) => {
    const i = (pixel % grid.width) - mask.i0
    const j = Math.floor(pixel / grid.width) - mask.j0
    const u = Math.floor(i / cell)
    const v = Math.floor(j / cell)
    const p = at(u, v)
    if (cell === 1) {
      for (let k = 0; k < n; k++) out[k] = data[p + k]!
      return
    }
    const s = i / cell - u
    const t = j / cell - v
    const right = at(u + 1, v)
    const down = at(u, v + 1)
    const far = at(u + 1, v + 1)
    for (let k = 0; k < n; k++)
      out[k] =
        (data[p + k]! * (1 - s) + data[right + k]! * s) * (1 - t) +
        (data[down + k]! * (1 - s) + data[far + k]! * s) * t
  }
}

/** The relief blurred by a Gaussian of `sigma` mm, tabulated to 2 mm and read linearly. */
export function blurredRelief(
  z: (x: number, y: number) => number,
  box: Readonly<Box>,
  sigma: number,
): (x: number, y: number) => number {
  const step = 2
  const nx = Math.ceil((box.maxX - box.minX) / step) + 2
  const ny = Math.ceil((box.maxY - box.minY) / step) + 2
  const data = new Float32Array(nx * ny)
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) data[j * nx + i] = z(box.minX + i * step, box.minY + j * step)
  const { data: soft } = blurred({ i0: 0, j0: 0, width: nx, height: ny, data }, sigma / step)
  return (x, y) => {
    const u = Math.min(nx - 1.001, Math.max(0, (x - box.minX) / step))
    const v = Math.min(ny - 1.001, Math.max(0, (y - box.minY) / step))
    const i = Math.floor(u)
    const j = Math.floor(v)
    const s = u - i
    const t = v - j
    const p = j * nx + i
    return (
      (soft[p]! * (1 - s) + soft[p + 1]! * s) * (1 - t) +
      (soft[p + nx]! * (1 - s) + soft[p + nx + 1]! * s) * t
    )
  }
}
