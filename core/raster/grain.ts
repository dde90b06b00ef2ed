import type { Grid } from './grid'
import { spongeAt } from './texture'

/**
 * The grain that sponges leave, one value in [0, 1] a pixel: the same at the same place of the skin at every
 * size.
 */
export function spongeGrain(grid: Grid): Float32Array {
  const out = new Float32Array(grid.width * grid.height)
  const step = 1 / grid.pxPerMm
  for (let j = 0; j < grid.height; j++) {
    const y = grid.y0 + (j + 0.5) * step
    for (let i = 0; i < grid.width; i++) {
      const x = grid.x0 + (i + 0.5) * step
      out[j * grid.width + i] = spongeAt(x, y)
    }
  }
  return out
}
