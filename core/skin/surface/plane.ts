import type { Exponential, Surface } from './surface'

/** A flat board: everything lies as it is. */
export const PLANE: Surface = {
  unrolls: true,
  position(x, y, out, k = 0) {
    out[k] = x
    out[k + 1] = y
    out[k + 2] = 0
  },
  normal(_x, _y, out) {
    out[0] = 0
    out[1] = 0
    out[2] = 1
  },
  exponential: ([x, y]): Exponential => ({
    to(points, k) {
      points[k]! += x
      points[k + 1]! += y
    },
    from: (px, py) => [px - x, py - y],
    stretch: () => 0,
  }),
}
