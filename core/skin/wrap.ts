import type { Box, Point } from '../geometry'
import { chartOf, type Chart } from './chart'

/** A chart with the box that it fills, mm. */
export interface Wrap {
  readonly chart: Chart
  readonly box: Readonly<Box>
}

/**
 * A chart of a height field that leaves steep skin its width: x runs along each row of the skin by arc length
 * from the midline, y by arc length down the mask's midline. So temple and jaw get as many pixels as the
 * forehead. Both are tabulated to 1 mm and read linearly.
 * @param z height, mm
 * @param ridge the height whose slope stretches y, mm
 * @param box the part of the skin to cover; past it the chart goes on straight
 */
export function arcLengthChart(
  z: (x: number, y: number) => number,
  ridge: (y: number) => number,
  box: Readonly<Box>,
): Wrap {
  const lengths = arcLengths(z, ridge, box)
  const { half, nx, ny, across } = lengths
  const point = (x: number, y: number): Point => toChart(lengths, x, y)
  const corners = [box.minY, 0, box.maxY].flatMap(y => [point(-half, y), point(half, y)])
  const ys = corners.map(c => c[1])
  const rows = Array.from({ length: ny }, (_, j) =>
    Math.max(...across.map(table => between(lengths, table, nx - 1, Math.min(ny - 2, j), 0))),
  )
  const wide = Math.max(...rows)
  return {
    chart: chartOf(point, at => toSkin(lengths, at)),
    box: { minX: -wide, maxX: wide, minY: Math.min(...ys), maxY: Math.max(...ys) },
  }
}

/**
 * Arc lengths of a height field to 1 mm: along each row from the midline to either side, and down the
 * midline; mm.
 */
interface ArcLengths {
  readonly half: number
  readonly nx: number
  readonly ny: number
  readonly y0: number
  /** To the left and to the right, row by row. */
  readonly across: readonly [Float64Array, Float64Array]
  readonly down: Float64Array
  /** The length down to y = 0. */
  readonly middle: number
}

function arcLengths(
  z: (x: number, y: number) => number,
  ridge: (y: number) => number,
  box: Readonly<Box>,
): ArcLengths {
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
  return { half, nx, ny, y0, across, down, middle: down[Math.min(ny - 1, Math.max(0, -y0))]! }
}

/** A table's value in a column, between two rows. */
const between = ({ nx }: ArcLengths, table: Float64Array, i: number, j: number, t: number): number =>
  table[j * nx + i]! * (1 - t) + table[(j + 1) * nx + i]! * t

/** The last of the ascending values that is no larger than one that is looked for, the very last left out. */
function lastUpTo(n: number, value: (i: number) => number, wanted: number): number {
  let low = 0,
    high = n - 1
  while (high - low > 1) {
    const m = (low + high) >> 1
    if (value(m) <= wanted) low = m
    else high = m
  }
  return low
}

function toChart(lengths: ArcLengths, x: number, y: number): Point {
  const { nx, ny, y0, across, down, middle } = lengths
  const table = across[x < 0 ? 0 : 1]
  const w = Math.min(ny - 1.000001, Math.max(0, y - y0))
  const j = Math.floor(w)
  const t = w - j
  const v = Math.min(nx - 1.000001, Math.abs(x))
  const i = Math.floor(v)
  const a = between(lengths, table, i, j, t)
  const long = a + (between(lengths, table, i + 1, j, t) - a) * (v - i) + Math.max(0, Math.abs(x) - v)
  return [x < 0 ? -long : long, down[j]! + (down[j + 1]! - down[j]!) * t - middle + (y - y0 - j - t)]
}

function toSkin(lengths: ArcLengths, [px, py]: Point): Point {
  const { nx, ny, y0, across, down, middle } = lengths
  const wanted = py + middle
  const j = lastUpTo(ny, m => down[m]!, wanted)
  const t = (wanted - down[j]!) / (down[j + 1]! - down[j]!)
  const tc = Math.min(1, Math.max(0, t))
  const table = across[px < 0 ? 0 : 1]
  const long = Math.abs(px)
  const i = lastUpTo(nx, m => between(lengths, table, m, j, tc), long)
  const a = between(lengths, table, i, j, tc)
  const x = i + (long - a) / (between(lengths, table, i + 1, j, tc) - a)
  return [px < 0 ? -x : x, y0 + j + t]
}
