import type { Box, Point } from '../geometry'
import { chartOf, type Chart } from './chart'

/** A chart with the box that it fills, mm. */
export interface Wrap {
  readonly chart: Chart
  readonly box: Readonly<Box>
}

/**
 * A chart of a height field that leaves steep skin its width: x runs along each row of the skin by arc length from the midline, y by arc length
 * down the mask's midline. So temple and jaw get as many pixels as the forehead. Both are tabulated to 1 mm and read linearly.
 * @param z height, mm
 * @param ridge the height whose slope stretches y, mm
 * @param box the part of the skin to cover; past it the chart goes on straight
 */
export function arcLengthChart(
  z: (x: number, y: number) => number,
  ridge: (y: number) => number,
  box: Readonly<Box>,
): Wrap {
  const half = Math.ceil(Math.max(-box.minX, box.maxX))
  const y0 = Math.floor(box.minY)
  const ny = Math.ceil(box.maxY) - y0 + 1
  const nx = half + 1
  const across = [new Float64Array(nx * ny), new Float64Array(nx * ny)] as const
  const down = new Float64Array(ny)
  for (let j = 0; j < ny; j++) {
    const y = y0 + j
    if (j > 0) down[j] = down[j - 1]! + Math.hypot(1, ridge(y) - ridge(y - 1))
    across.forEach((table, s) => {
      let last = z(0, y)
      for (let i = 1; i < nx; i++) {
        const next = z(s ? i : -i, y)
        table[j * nx + i] = table[j * nx + i - 1]! + Math.hypot(1, next - last)
        last = next
      }
    })
  }
  const middle = down[Math.min(ny - 1, Math.max(0, -y0))]!
  const row = (y: number): [number, number] => {
    const v = Math.min(ny - 1.000001, Math.max(0, y - y0))
    const j = Math.floor(v)
    return [j, v - j]
  }
  const u = (table: Float64Array, i: number, j: number, t: number) =>
    table[j * nx + i]! * (1 - t) + table[(j + 1) * nx + i]! * t
  const point = (x: number, y: number): Point => {
    const table = across[x < 0 ? 0 : 1]
    const [j, t] = row(y)
    const v = Math.min(nx - 1.000001, Math.abs(x))
    const i = Math.floor(v)
    const a = u(table, i, j, t)
    const long = a + (u(table, i + 1, j, t) - a) * (v - i) + Math.max(0, Math.abs(x) - v)
    return [x < 0 ? -long : long, down[j]! + (down[j + 1]! - down[j]!) * t - middle + (y - y0 - j - t)]
  }
  const back = ([px, py]: Point): Point => {
    const wanted = py + middle
    let j = 0,
      high = ny - 1
    while (high - j > 1) {
      const m = (j + high) >> 1
      if (down[m]! <= wanted) j = m
      else high = m
    }
    const t = (wanted - down[j]!) / (down[j + 1]! - down[j]!)
    const tc = Math.min(1, Math.max(0, t))
    const table = across[px < 0 ? 0 : 1]
    const long = Math.abs(px)
    let i = 0
    high = nx - 1
    while (high - i > 1) {
      const m = (i + high) >> 1
      if (u(table, m, j, tc) <= long) i = m
      else high = m
    }
    const a = u(table, i, j, tc)
    const x = i + (long - a) / (u(table, i + 1, j, tc) - a)
    return [px < 0 ? -x : x, y0 + j + t]
  }
  const corners = [box.minY, 0, box.maxY].flatMap(y => [point(-half, y), point(half, y)])
  const rows = Array.from({ length: ny }, (_, j) =>
    Math.max(u(across[0], nx - 1, Math.min(ny - 2, j), 0), u(across[1], nx - 1, Math.min(ny - 2, j), 0)),
  )
  const wide = Math.max(...rows)
  return {
    chart: chartOf(point, back),
    box: {
      minX: -wide,
      maxX: wide,
      minY: Math.min(...corners.map(c => c[1])),
      maxY: Math.max(...corners.map(c => c[1])),
    },
  }
}
