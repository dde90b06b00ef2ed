import svgpath from 'svgpath'
import {
  ellipsePoints,
  FLATTEN_MM,
  flattenCubic,
  lengthInMm,
  MM_PER_PX,
  splitLength,
  type Ring,
} from '../../geometry'

/** One run of a shape in its own user units: flat points, and whether it was closed by its author. */
export interface Run {
  points: number[]
  closed: boolean
}

type Attributes = Readonly<Record<string, string>>

/** The shape elements that are read; everything else is passed over. */
export const SHAPES = new Set(['path', 'rect', 'circle', 'ellipse', 'polygon', 'polyline', 'line'])

/** A coordinate or length in user units; units other than user units are taken at 96 px to the inch. */
function userLength(attrs: Attributes, key: string, fallback = 0): number {
  const text = attrs[key]
  if (text === undefined || text.trim() === '') return fallback
  const plain = splitLength(text)
  if (!plain) throw new RangeError(`The size "${key}=${text.slice(0, 40)}" is not a number.`)
  if (plain.unit === '') return plain.value
  const mm = lengthInMm(text)
  if (mm === null) throw new RangeError(`The size "${key}=${text.slice(0, 40)}" is relative; give it in mm.`)
  return mm / MM_PER_PX
}

function positive(attrs: Attributes, key: string): number {
  const value = userLength(attrs, key)
  if (value < 0) throw new RangeError(`The size "${key}=${value}" is negative.`)
  return value
}

function pairs(text: string | undefined): number[] {
  const numbers =
    (text ?? '').match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?|nan|[-+]?inf\w*/gi)?.map(Number) ?? []
  if (numbers.some(n => !Number.isFinite(n))) throw new RangeError('A point of a polygon is not a number.')
  return numbers.length % 2 ? numbers.slice(0, -1) : numbers
}

/**
 * A shape element as flattened runs in user units.
 * @param perUnit how many mm one user unit becomes, so that curves are flattened to FLATTEN_MM at true size.
 */
export function shapeRuns(name: string, attrs: Attributes, perUnit: number): Run[] {
  const tolerance = FLATTEN_MM / perUnit
  switch (name) {
    case 'path':
      return pathRuns(attrs.d ?? '', tolerance)
    case 'circle': {
      const r = positive(attrs, 'r')
      return r > 0
        ? [
            {
              points: ellipsePoints(userLength(attrs, 'cx'), userLength(attrs, 'cy'), r, r, tolerance),
              closed: true,
            },
          ]
        : []
    }
    case 'ellipse': {
      const rx = positive(attrs, 'rx')
      const ry = positive(attrs, 'ry')
      return rx > 0 && ry > 0
        ? [
            {
              points: ellipsePoints(userLength(attrs, 'cx'), userLength(attrs, 'cy'), rx, ry, tolerance),
              closed: true,
            },
          ]
        : []
    }
    case 'rect':
      return rectRuns(attrs, tolerance)
    case 'polygon':
      return [{ points: pairs(attrs.points), closed: true }]
    case 'polyline':
      return [{ points: pairs(attrs.points), closed: false }]
    case 'line':
      return [
        {
          points: [
            userLength(attrs, 'x1'),
            userLength(attrs, 'y1'),
            userLength(attrs, 'x2'),
            userLength(attrs, 'y2'),
          ],
          closed: false,
        },
      ]
    default:
      return []
  }
}

function rectRuns(attrs: Attributes, tolerance: number): Run[] {
  const x = userLength(attrs, 'x')
  const y = userLength(attrs, 'y')
  const w = positive(attrs, 'width')
  const h = positive(attrs, 'height')
  if (!(w > 0 && h > 0)) return []
  const rx = Math.min(w / 2, positive(attrs, attrs.rx === undefined ? 'ry' : 'rx'))
  const ry = Math.min(h / 2, positive(attrs, attrs.ry === undefined ? 'rx' : 'ry'))
  if (!(rx > 0 && ry > 0)) return [{ points: [x, y, x + w, y, x + w, y + h, x, y + h], closed: true }]
  return pathRuns(
    `M${x + rx} ${y}H${x + w - rx}A${rx} ${ry} 0 0 1 ${x + w} ${y + ry}V${y + h - ry}A${rx} ${ry} 0 0 1 ${x + w - rx} ${y + h}` +
      `H${x + rx}A${rx} ${ry} 0 0 1 ${x} ${y + h - ry}V${y + ry}A${rx} ${ry} 0 0 1 ${x + rx} ${y}Z`,
    tolerance,
  )
}

/**
 * Path data with arcs as cubics and every coordinate absolute. Throws RangeError with a sentence when it
 * cannot be read.
 */
function absolute(d: string): ReturnType<typeof svgpath> {
  const path = svgpath(d)
  // The package keeps what is wrong with a path in a field that its types leave out.
  const err: unknown = Reflect.get(path, 'err')
  if (typeof err === 'string' && err)
    throw new RangeError(`The path "${d.slice(0, 40)}" cannot be read: ${err.replace(/^SvgPath: /, '')}.`)
  return path.abs().unshort().unarc()
}

/** Draws one piece of a path on from where the pen stands. */
function drawOn(
  to: number[],
  command: string,
  v: readonly number[],
  x: number,
  y: number,
  tolerance: number,
): void {
  switch (command) {
    case 'L':
      to.push(v[0]!, v[1]!)
      break
    case 'H':
      to.push(v[0]!, y)
      break
    case 'V':
      to.push(x, v[0]!)
      break
    case 'C':
      flattenCubic(to, x, y, v[0]!, v[1]!, v[2]!, v[3]!, v[4]!, v[5]!, tolerance)
      break
    case 'Q': {
      const [cx, cy, ex, ey] = [v[0]!, v[1]!, v[2]!, v[3]!]
      const k = 2 / 3
      flattenCubic(
        to,
        x,
        y,
        x + k * (cx - x),
        y + k * (cy - y),
        ex + k * (cx - ex),
        ey + k * (cy - ey),
        ex,
        ey,
        tolerance,
      )
    }
  }
}

/** Path data as runs; arcs go through cubics (error under 0.03 % of the radius). */
function pathRuns(d: string, tolerance: number): Run[] {
  const runs: Run[] = []
  let run: Run | null = null
  const begin = (x: number, y: number): Run => {
    const fresh = { points: [x, y], closed: false }
    runs.push(fresh)
    return fresh
  }
  let startX = 0,
    startY = 0
  absolute(d).iterate(([command, ...numbers], _i, x, y) => {
    const v = numbers.map(Number)
    if (command === 'M') {
      ;[startX, startY] = [v[0]!, v[1]!]
      run = begin(startX, startY)
    } else if (command === 'Z' || command === 'z') {
      if (run) run.closed = true
      run = null
    } else {
      // After a closed run the pen stands at its start (SVG 1.1, section 8.3.3).
      run ??= begin(startX, startY)
      drawOn(run.points, command, v, x, y, tolerance)
    }
  })
  return runs
}

/** A run's points as a ring without repeated points; null when fewer than three differ. */
export function ringFromRun(points: readonly number[]): Ring | null {
  const out: number[] = []
  for (let i = 0; i + 1 < points.length; i += 2) {
    const x = points[i]!
    const y = points[i + 1]!
    const n = out.length
    if (n === 0 || Math.hypot(x - out[n - 2]!, y - out[n - 1]!) > 1e-6) out.push(x, y)
  }
  while (out.length > 2 && Math.hypot(out[0]! - out[out.length - 2]!, out[1]! - out[out.length - 1]!) <= 1e-6)
    out.length -= 2
  return out.length >= 6 ? Float64Array.from(out) : null
}
