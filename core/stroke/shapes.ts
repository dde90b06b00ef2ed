import { distance, mix, radians, type Point } from '../geometry'
import { BRUSHES, widthAt, type BrushForm, type BrushId } from '../paint'
import { arcThrough, lineTo, logSpiral, pathThrough, quadratic, sCurve } from './curves'
import {
  dropWidth,
  jitter,
  sharesOf,
  spine,
  stationsAt,
  thinThickThin,
  type Spine,
  type Station,
} from './spine'

/** A number that shapes a stroke, with its bounds and what it is when nobody says. */
export interface Param {
  readonly name: string
  readonly words: string
  readonly unit: 'mm' | '°' | '%' | ''
  readonly least: number
  readonly most: number
  readonly step: number
  readonly usual: number
}
export type Params = Readonly<Record<string, number>>

/** One kind of stroke: few handles, some numbers, and the pulls of the brush that follow. Everything in the flat, mm, +y down. */
export interface StrokeShape {
  readonly words: string
  readonly family: 'line' | 'flat' | 'figure' | 'edge' | 'eye'
  /** What the handles are, least and most of them. */
  readonly handles: readonly [number, number]
  /** Handles of a fresh one about its middle. */
  readonly usual: readonly Point[]
  readonly forms: readonly BrushForm[]
  readonly brush: BrushId
  /** Whether its end points to the focal point, away from it, it leads both ways, or has no direction. */
  readonly flow: 'to' | 'from' | 'both' | 'none'
  readonly params: readonly Param[]
  readonly draw: (handles: readonly Point[], value: Params, brush: BrushId) => Spine[]
}

const p = (
  name: string,
  words: string,
  unit: Param['unit'],
  least: number,
  most: number,
  step: number,
  usual: number,
): Param => ({ name, words, unit, least, most, step, usual })
const PRESS = p('press', 'pressure', '%', 5, 100, 5, 55)
const ROUND: BrushForm[] = ['round', 'dagger']
const thick = (value: Params, brush: BrushId) => widthAt(brush, value.press! / 100)
const thin = (brush: BrushId) => BRUSHES[brush].least
const shares = (n: number, from = 0, to = 1): number[] =>
  Array.from({ length: n }, (_, i) => (n === 1 ? (from + to) / 2 : from + ((to - from) * i) / (n - 1)))
/** The way to the left of the travel: up for a path from left to right. */
const left = ({ along: [x, y] }: Station): Point => [y, -x]
const from = ([x, y]: Point, [dx, dy]: Point, by: number): Point => [x + dx * by, y + dy * by]
/** A direction turned clockwise by some degrees. */
const turned = ([x, y]: Point, by: number): Point => {
  const c = Math.cos(radians(by))
  const s = Math.sin(radians(by))
  return [c * x - s * y, s * x + c * y]
}
const unit = (a: Point, b: Point): Point => {
  const l = distance(a, b) || 1
  return [(b[0] - a[0]) / l, (b[1] - a[1]) / l]
}
/** Width of a petal or leaf along its length: narrow at its foot, widest past its middle, closing to a tip. */
const petalWidth =
  (wide: number, foot: number) =>
  (t: number): number =>
    Math.max(foot, wide * Math.sin(Math.PI * t ** 1.25) ** 0.75)
/** A flat brush set down on its edge, pressed out and lifted onto its edge again. */
const chisel =
  (full: number, least: number, ends: number) =>
  (t: number): number => {
    const ramp = Math.max(1e-3, 0.5 * ends)
    const rise = Math.min(1, Math.min(t, 1 - t) / ramp)
    return least + (full - least) * (ends <= 0 ? 1 : Math.sin((Math.PI / 2) * rise) ** 0.9)
  }

/** Every stroke whose shape follows from its handles. */
export const SHAPES = {
  line: {
    words: 'line, thin to thick to thin',
    family: 'line',
    handles: [2, 16],
    usual: [
      [0, 16],
      [4, 0],
      [0, -16],
    ],
    forms: ROUND,
    brush: 'round3',
    flow: 'both',
    params: [PRESS, p('even', 'evenness', '%', 0, 100, 10, 0)],
    draw: (h, v, b) => {
      const t = thick(v, b)
      const taper = thinThickThin(t, thin(b))
      const even = v.even! / 100
      return [spine(pathThrough(h), s => taper(s) + (t - taper(s)) * even)]
    },
  },
  teardrop: {
    words: 'teardrop',
    family: 'line',
    handles: [2, 3],
    usual: [
      [0, 9],
      [0, -9],
    ],
    forms: ['round', 'filbert'],
    brush: 'round4',
    flow: 'to',
    params: [{ ...PRESS, usual: 85 }],
    draw: (h, v, b) => {
      const path = h.length > 2 ? quadratic(h[0]!, h[1]!, h[2]!) : lineTo(h[0]!, h[1]!)
      const t = thick(v, b)
      const long = sharesOf(path).length
        ? path.reduce((s, q, i) => (i ? s + distance(path[i - 1]!, q) : 0), 0)
        : 1
      return [spine(path, dropWidth(t, Math.min(0.35, thin(b)), Math.min(0.4, t / 2 / Math.max(1, long))))]
    },
  },
  swirl: {
    words: 'swirl with a tail',
    family: 'line',
    handles: [3, 3],
    usual: [
      [0, 6],
      [7, 6],
      [0, -16],
    ],
    forms: ROUND,
    brush: 'round3',
    flow: 'to',
    params: [
      { ...PRESS, usual: 60 },
      p('turns', 'turns', '', 0.5, 3, 0.1, 1.4),
      p('shrink', 'winds in to', '%', 8, 80, 2, 22),
    ],
    draw: (h, v, b) => {
      const [centre, outer, tip] = h as [Point, Point, Point]
      const radius = unit(centre, outer)
      const ahead: Point = [-radius[1], radius[0]]
      // It winds the way round that its tail then leaves without a kink.
      const way = ahead[0] * (tip[0] - outer[0]) + ahead[1] * (tip[1] - outer[1]) >= 0 ? 1 : -1
      const reach = distance(outer, tip) * 0.5
      const curl = logSpiral(centre, outer, -way * v.turns!, v.shrink! / 100).reverse()
      const tail = quadratic(outer, from(outer, ahead, way * reach), tip)
      const points = [...curl, ...tail.slice(1)]
      const t = thick(v, b)
      const taper = thinThickThin(t, thin(b))
      return [spine(points, s => Math.max(taper(s), s < 0.06 ? t * 0.75 * Math.sqrt(s / 0.06) : 0))]
    },
  },
  cCurve: {
    words: 'C curve',
    family: 'line',
    handles: [3, 3],
    usual: [
      [3, 14],
      [-5, 0],
      [3, -14],
    ],
    forms: ROUND,
    brush: 'round3',
    flow: 'both',
    params: [PRESS],
    draw: (h, v, b) => [spine(arcThrough(h[0]!, h[1]!, h[2]!), thinThickThin(thick(v, b), thin(b)))],
  },
  sCurve: {
    words: 'S curve',
    family: 'line',
    handles: [3, 3],
    usual: [
      [0, 18],
      [-5, 9],
      [0, -18],
    ],
    forms: ROUND,
    brush: 'round3',
    flow: 'both',
    params: [PRESS],
    draw: (h, v, b) => [spine(sCurve(h[0]!, h[1]!, h[2]!), thinThickThin(thick(v, b), thin(b)))],
  },
  zigzag: {
    words: 'zigzag',
    family: 'line',
    handles: [2, 8],
    usual: [
      [-16, 0],
      [16, 0],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'none',
    params: [PRESS, p('count', 'points', '', 2, 40, 1, 7), p('height', 'height', 'mm', 1, 25, 0.5, 6)],
    draw: (h, v, b) => {
      const path = pathThrough(h)
      const stops = stationsAt(path, shares(2 * v.count! + 1))
      const corners = stops.map((s, i) => (i % 2 ? from(s.at, left(s), v.height!) : s.at))
      const t = thick(v, b)
      return [
        spine(
          corners.flatMap((c, i) => (i ? lineTo(corners[i - 1]!, c).slice(1) : [c])),
          s => thin(b) + (t - thin(b)) * Math.min(1, 6 * Math.min(s, 1 - s)),
        ),
      ]
    },
  },
  stitches: {
    words: 'stitches',
    family: 'line',
    handles: [2, 8],
    usual: [
      [-16, 0],
      [16, 0],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'none',
    params: [
      PRESS,
      p('count', 'stitches', '', 1, 30, 1, 6),
      p('length', 'length of a stitch', 'mm', 2, 20, 0.5, 7),
      p('lean', 'lean', '°', -60, 60, 5, 12),
    ],
    draw: (h, v, b) => {
      const path = pathThrough(h)
      const t = thick(v, b)
      return [
        spine(path, thinThickThin(t, thin(b))),
        ...stationsAt(path, shares(v.count!, 0.5 / v.count!, 1 - 0.5 / v.count!)).map((s, i) => {
          const way = turned(left(s), v.lean! + 6 * jitter(i))
          const half = (v.length! / 2) * (1 + 0.12 * jitter(i, 2))
          return spine(lineTo(from(s.at, way, -half), from(s.at, way, half)), thinThickThin(t, thin(b)))
        }),
      ]
    },
  },
  band: {
    words: 'flat-brush band',
    family: 'flat',
    handles: [2, 10],
    usual: [
      [-14, 10],
      [0, -4],
      [16, -8],
    ],
    forms: ['flat', 'angled'],
    brush: 'flat13',
    flow: 'both',
    params: [{ ...PRESS, usual: 100 }, p('ends', 'set down on its edge', '%', 0, 100, 10, 60)],
    draw: (h, v, b) => [spine(pathThrough(h), chisel(thick(v, b), thin(b), v.ends! / 100))],
  },
  petals: {
    words: 'petals along a path',
    family: 'figure',
    handles: [2, 8],
    usual: [
      [-18, 4],
      [0, 0],
      [18, 4],
    ],
    forms: ['filbert', 'round', 'flat', 'angled'],
    brush: 'filbert8',
    flow: 'from',
    params: [
      p('count', 'petals', '', 1, 24, 1, 5),
      p('length', 'length', 'mm', 3, 40, 1, 12),
      p('wide', 'width', 'mm', 1.5, 24, 0.5, 7),
      p('lean', 'lean', '°', -70, 70, 5, 0),
    ],
    draw: (h, v, b) =>
      stationsAt(
        pathThrough(h),
        shares(v.count!, v.count === 1 ? 0 : 0.5 / v.count!, v.count === 1 ? 1 : 1 - 0.5 / v.count!),
      ).map(s =>
        spine(
          lineTo(s.at, from(s.at, turned(left(s), v.lean!), v.length!)),
          petalWidth(v.wide!, thin(b) * 0.6),
        ),
      ),
  },
  flower: {
    words: 'flower',
    family: 'figure',
    handles: [2, 2],
    usual: [
      [0, 0],
      [0, -11],
    ],
    forms: ['filbert', 'round', 'flat', 'angled'],
    brush: 'filbert8',
    flow: 'none',
    params: [
      p('count', 'petals', '', 3, 12, 1, 5),
      p('wide', 'width of a petal', 'mm', 1.5, 20, 0.5, 8),
      p('heart', 'open in the middle', '%', 0, 60, 5, 18),
    ],
    draw: (h, v, b) =>
      shares(v.count!, 0, 360 * (1 - 1 / v.count!)).map(a => {
        const r = distance(h[0]!, h[1]!)
        const way = turned(unit(h[0]!, h[1]!), a)
        return spine(lineTo(from(h[0]!, way, (r * v.heart!) / 100), from(h[0]!, way, r)), t =>
          Math.max(thin(b) * 0.6, v.wide! * Math.sin(Math.PI * Math.min(1, t * 0.94 + 0.03) ** 1.5) ** 0.7),
        )
      }),
  },
  leaf: {
    words: 'leaf',
    family: 'figure',
    handles: [2, 3],
    usual: [
      [0, 12],
      [3, 0],
      [0, -12],
    ],
    forms: ['filbert', 'round', 'angled'],
    brush: 'filbert8',
    flow: 'both',
    params: [p('wide', 'width', 'mm', 2, 24, 0.5, 8), p('vein', 'open vein', 'mm', 0, 2, 0.1, 0.6)],
    draw: (h, v, b) => {
      const path = h.length > 2 ? quadratic(h[0]!, h[1]!, h[2]!) : lineTo(h[0]!, h[1]!)
      const at = sharesOf(path)
      // Without a vein it is one stroke, so that no seam shows in its middle.
      if (v.vein! < 0.1) return [spine(path, petalWidth(v.wide!, thin(b) * 0.3))]
      const half = (t: number) => Math.max(0, (petalWidth(v.wide!, 0)(t) - v.vein!) / 2)
      const stops = stationsAt(path, at)
      return [-1, 1].map(side => ({
        points: stops.map((s, i) =>
          from(s.at, left(s), side * (half(at[i]!) / 2 + (v.vein! / 2) * Math.min(1, 8 * (1 - at[i]!)))),
        ),
        widths: at.map(t => Math.max(thin(b) * 0.3, half(t))),
      }))
    },
  },
  starburst: {
    words: 'starburst',
    family: 'figure',
    handles: [2, 2],
    usual: [
      [0, 0],
      [0, -10],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'none',
    params: [
      { ...PRESS, usual: 70 },
      p('rays', 'long rays', '', 2, 12, 1, 4),
      p('short', 'short rays', '%', 0, 90, 5, 45),
      p('hollow', 'open in the middle', '%', 0, 60, 5, 0),
    ],
    draw: (h, v, b) =>
      shares(2 * v.rays!, 0, 360 * (1 - 1 / (2 * v.rays!))).flatMap((a, i) => {
        const r = distance(h[0]!, h[1]!) * (i % 2 ? v.short! / 100 : 1)
        const way = turned(unit(h[0]!, h[1]!), a)
        const inner = (distance(h[0]!, h[1]!) * v.hollow!) / 100
        const t = thick(v, b) * (i % 2 ? 0.75 : 1)
        return r > inner + 0.5
          ? [
              spine(lineTo(from(h[0]!, way, inner), from(h[0]!, way, r)), s =>
                Math.max(0.12, t * (1 - s) ** 0.85),
              ),
            ]
          : []
      }),
  },
  web: {
    words: 'web',
    family: 'figure',
    handles: [3, 3],
    usual: [
      [-14, -14],
      [16, -12],
      [-12, 16],
    ],
    forms: ROUND,
    brush: 'round1',
    flow: 'none',
    params: [
      { ...PRESS, usual: 40 },
      p('rays', 'rays', '', 2, 9, 1, 5),
      p('rings', 'rings', '', 1, 9, 1, 4),
      p('sag', 'sag', '%', 0, 60, 5, 25),
    ],
    draw: (h, v, b) => {
      const [centre, first, last] = h as [Point, Point, Point]
      const t = thick(v, b)
      const a = Math.atan2(first[1] - centre[1], first[0] - centre[0])
      const whole = Math.atan2(
        Math.sin(Math.atan2(last[1] - centre[1], last[0] - centre[0]) - a),
        Math.cos(Math.atan2(last[1] - centre[1], last[0] - centre[0]) - a),
      )
      const ends = shares(v.rays!).map((s, i): Point => {
        const r = (distance(centre, first) * (1 - s) + distance(centre, last) * s) * (i % 2 ? 0.9 : 1)
        return [centre[0] + r * Math.cos(a + whole * s), centre[1] + r * Math.sin(a + whole * s)]
      })
      const rings = shares(v.rings!, (0.9 / v.rings! ** 0.35) * 0.35, 0.88)
      return [
        ...ends.map(e => spine(lineTo(centre, e), s => thin(b) + (t - thin(b)) * (1 - s))),
        ...rings.flatMap(f =>
          ends.slice(1).map((e, i) => {
            const p0 = mix(centre, ends[i]!, f)
            const p1 = mix(centre, e, f)
            return spine(
              quadratic(p0, mix(mix(p0, p1, 0.5), centre, v.sag! / 100), p1),
              () => thin(b) + 0.35 * (t - thin(b)),
            )
          }),
        ),
      ]
    },
  },
  scallops: {
    words: 'scallops',
    family: 'edge',
    handles: [2, 10],
    usual: [
      [-20, 4],
      [0, 0],
      [20, 4],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'none',
    params: [PRESS, p('count', 'scallops', '', 1, 30, 1, 5), p('height', 'height', 'mm', 1, 25, 0.5, 6)],
    draw: (h, v, b) => {
      const stops = stationsAt(pathThrough(h), shares(v.count! + 1))
      const t = thick(v, b)
      return stops.slice(1).map((s, i) => {
        const a = stops[i]!
        const middle = mix(a.at, s.at, 0.5)
        const way = left({ at: middle, along: unit(a.at, s.at) })
        return spine(arcThrough(a.at, from(middle, way, v.height!), s.at), thinThickThin(t, thin(b)))
      })
    },
  },
  fur: {
    words: 'fur edge',
    family: 'edge',
    handles: [2, 10],
    usual: [
      [-18, 2],
      [0, 0],
      [18, 2],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'from',
    params: [
      PRESS,
      p('count', 'hairs', '', 2, 120, 1, 22),
      p('length', 'length', 'mm', 2, 30, 0.5, 8),
      p('lean', 'lean', '°', -70, 70, 5, 15),
      p('uneven', 'unevenness', '%', 0, 100, 10, 50),
    ],
    draw: (h, v, b) =>
      stationsAt(pathThrough(h), shares(v.count!)).map((s, i) => {
        const u = v.uneven! / 100
        const way = turned(left(s), v.lean! + 16 * u * jitter(i))
        const long = v.length! * (1 + 0.45 * u * jitter(i, 1))
        const root = from(s.at, left(s), -0.12 * long + 0.15 * u * v.length! * jitter(i, 3))
        const bend = turned(way, 24 * Math.sign(v.lean! || 1))
        return spine(
          quadratic(root, from(root, way, long * 0.55), from(from(root, way, long * 0.55), bend, long * 0.5)),
          dropWidth(thick(v, b), 0.12, 0.18),
        )
      }),
  },
  whiskers: {
    words: 'whiskers',
    family: 'edge',
    handles: [2, 2],
    usual: [
      [0, 0],
      [34, -4],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'from',
    params: [
      PRESS,
      p('count', 'whiskers', '', 1, 9, 1, 3),
      p('fan', 'fan', '°', 0, 70, 2, 24),
      p('gap', 'roots apart', 'mm', 0, 15, 0.5, 4),
      p('bow', 'bow', 'mm', -15, 15, 0.5, 4),
    ],
    draw: (h, v, b) =>
      shares(v.count!, -0.5, 0.5).map((s, i) => {
        const u = v.count === 1 ? 0 : s
        const way = unit(h[0]!, h[1]!)
        const side = left({ at: h[0]!, along: way })
        const long = distance(h[0]!, h[1]!) * (1 - 0.2 * Math.abs(u))
        const root = from(from(h[0]!, side, -u * v.gap! * (v.count! - 1)), way, -2 * u * u * v.gap!)
        const out = turned(way, u * v.fan!)
        const tip = from(root, out, long)
        return spine(
          quadratic(
            root,
            from(mix(root, tip, 0.45), left({ at: root, along: out }), v.bow! * (1 + 0.1 * jitter(i))),
            tip,
          ),
          dropWidth(thick(v, b), 0.15, 0.05),
        )
      }),
  },
  eyeliner: {
    words: 'eyeliner',
    family: 'eye',
    handles: [3, 3],
    usual: [
      [-14, 2],
      [0, -3],
      [14, 0],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'none',
    params: [
      { ...PRESS, usual: 80 },
      p('wing', 'wing', 'mm', 0, 30, 0.5, 9),
      p('rise', 'rise', '°', -20, 60, 2, 24),
    ],
    draw: (h, v, b) => {
      const lid = arcThrough(h[0]!, h[1]!, h[2]!)
      const out = unit(h[0]!, h[2]!)
      const up: Point = out[0] >= 0 ? [out[1], -out[0]] : [-out[1], out[0]]
      const r = radians(v.rise!)
      const way: Point = [
        out[0] * Math.cos(r) + up[0] * Math.sin(r),
        out[1] * Math.cos(r) + up[1] * Math.sin(r),
      ]
      const tip = from(h[2]!, way, v.wing!)
      const points =
        v.wing! > 0.5
          ? [...lid, ...quadratic(h[2]!, from(h[2]!, unit(lid.at(-3)!, h[2]!), v.wing! * 0.3), tip).slice(1)]
          : lid
      const t = thick(v, b)
      const peak = Math.min(0.92, lid.length / points.length)
      return [
        spine(points, s =>
          s < peak
            ? thin(b) + (t - thin(b)) * Math.sin(((Math.PI / 2) * s) / peak) ** 1.3
            : Math.max(0.15, t * Math.cos(((Math.PI / 2) * (s - peak)) / (1 - peak)) ** 0.8),
        ),
      ]
    },
  },
  lashes: {
    words: 'lashes',
    family: 'eye',
    handles: [2, 4],
    usual: [
      [-13, 1],
      [0, -3],
      [13, 0],
    ],
    forms: ROUND,
    brush: 'round1',
    flow: 'none',
    params: [
      { ...PRESS, usual: 70 },
      p('count', 'lashes', '', 2, 30, 1, 9),
      p('length', 'length', 'mm', 2, 20, 0.5, 7),
      p('lean', 'fan outward', '°', 0, 80, 5, 45),
    ],
    draw: (h, v, b) =>
      stationsAt(pathThrough(h), shares(v.count!, 0.04, 1)).map((s, i, all) => {
        const t = all.length > 1 ? i / (all.length - 1) : 1
        const sign = Math.sign(s.along[0]) || 1
        const lean = (-12 + (v.lean! + 12) * t) * sign
        const long = v.length! * (0.62 + 0.38 * t)
        const way = turned(left(s), lean)
        const root = s.at
        return spine(
          quadratic(
            root,
            from(root, turned(way, 22 * sign), long * 0.55),
            from(root, turned(way, -4 * sign), long),
          ),
          dropWidth(thick(v, b), 0.12, 0.1),
        )
      }),
  },
} as const satisfies Record<string, StrokeShape>

export type ShapeId = keyof typeof SHAPES
export const SHAPE_IDS = Object.keys(SHAPES) as ShapeId[]
export const shapeOf = (id: ShapeId): StrokeShape => SHAPES[id]

/** Everything a shape's numbers are when nobody says. */
export const usualParams = (params: readonly Param[]): Record<string, number> =>
  Object.fromEntries(params.map(q => [q.name, q.usual]))

/** What is wrong with the numbers of a shape, as sentences; empty when nothing is. */
export function paramProblems(params: readonly Param[], value: Params): string[] {
  const known = new Set(params.map(q => q.name))
  return [
    ...Object.keys(value)
      .filter(k => !known.has(k))
      .map(k => `has no number called "${k.slice(0, 30)}"`),
    ...params
      .filter(q => !(value[q.name]! >= q.least && value[q.name]! <= q.most))
      .map(
        q =>
          `needs "${q.name}" (${q.words}) from ${q.least} to ${q.most}${q.unit && q.unit !== '%' && q.unit !== '°' ? ` ${q.unit}` : q.unit}`,
      ),
  ]
}
