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

/** Path data as runs; arcs go through cubics (error under 0.03 % of the radius). */
function pathRuns(d: string, tolerance: number): Run[] {
  const path = svgpath(d)
  const err = (path as unknown as { err: string }).err
  if (err)
    throw new RangeError(`The path "${d.slice(0, 40)}" cannot be read: ${err.replace(/^SvgPath: /, '')}.`)
  const runs: Run[] = []
  let run: Run | null = null
  const begin = (x: number, y: number) => runs.push((run = { points: [x, y], closed: false }))
  let startX = 0,
    startY = 0
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((s, _i, x, y) => {
      const v = s.slice(1) as number[]
      if (s[0] === 'M') {
        ;[startX, startY] = [v[0]!, v[1]!]
        begin(startX, startY)
        return
      }
      if (s[0] === 'Z' || s[0] === 'z') {
        if (run) run.closed = true
        run = null
        return
      }
      // After a closed run the pen stands at its start (SVG 1.1, section 8.3.3).
      const current = run ?? (begin(startX, startY), run!)
      switch (s[0]) {
        case 'L':
          current.points.push(v[0]!, v[1]!)
          break
        case 'H':
          current.points.push(v[0]!, y)
          break
        case 'V':
          current.points.push(x, v[0]!)
          break
        case 'C':
          flattenCubic(current.points, x, y, v[0]!, v[1]!, v[2]!, v[3]!, v[4]!, v[5]!, tolerance)
          break
        case 'Q': {
          const [cx, cy, ex, ey] = v as [number, number, number, number]
          flattenCubic(
            current.points,
            x,
            y,
            x + (2 / 3) * (cx - x),
            y + (2 / 3) * (cy - y),
            ex + (2 / 3) * (cx - ex),
            ey + (2 / 3) * (cy - ey),
            ex,
            ey,
            tolerance,
          )
        }
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
