import { distance, mix, type Point } from '../../geometry'
import { lineTo, pathThrough, quadratic } from '../curves'
import { ROUND, thick, thin, shares, left, from, turned, unit, petalWidth } from '../drawing'
import { param, PRESS } from '../params'
import { stroke } from '../shape'
import { lengthOf, sharesOf, spine, stationsAt } from '../spine'

/** Figures of several pulls. */
export const FIGURES = {
  circle: stroke({
    words: 'circle',
    family: 'figure',
    handles: [2, 2],
    usual: [
      [0, 0],
      [0, -12],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'none',
    params: [PRESS, param('swell', 'thicker on one side', '%', 0, 100, 10, 0)],
    draw: ([middle, edge], v, b) => {
      const r = distance(middle!, edge!)
      const start = Math.atan2(edge![0] - middle![0], middle![1] - edge![1])
      const n = Math.max(32, Math.ceil(r * 8))
      const points = Array.from({ length: n }, (_, i): Point => {
        const a = start + (2 * Math.PI * i) / n
        return [middle![0] + r * Math.sin(a), middle![1] - r * Math.cos(a)]
      })
      const most = thick(v, b)
      const width = (i: number) =>
        most * (1 - (v.swell / 100) * (0.5 - 0.5 * Math.cos((2 * Math.PI * i) / n)))
      return [{ points, widths: points.map((_, i) => Math.max(thin(b) * 0.5, width(i))), closed: true }]
    },
  }),
  petals: stroke({
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
      param('count', 'petals', '', 1, 24, 1, 5),
      param('length', 'length', 'mm', 3, 40, 1, 12),
      param('wide', 'width', 'mm', 1.5, 24, 0.5, 7),
      param('lean', 'lean', '°', -70, 70, 5, 0),
    ],
    draw: (h, v, b) =>
      stationsAt(
        pathThrough(h),
        shares(v.count, v.count === 1 ? 0 : 0.5 / v.count, v.count === 1 ? 1 : 1 - 0.5 / v.count),
      ).map(s =>
        spine(lineTo(s.at, from(s.at, turned(left(s), v.lean), v.length)), petalWidth(v.wide, thin(b) * 0.6)),
      ),
  }),
  petalFill: stroke({
    words: 'petals that fill a shape',
    family: 'figure',
    handles: [3, 16],
    usual: [
      [0, -18],
      [17, -6],
      [12, 14],
      [-12, 14],
      [-17, -6],
    ],
    forms: ['filbert', 'round', 'flat', 'angled'],
    brush: 'filbert8',
    flow: 'none',
    params: [
      param('rows', 'rows', '', 1, 6, 1, 3),
      param('wide', 'width of a petal', 'mm', 1.5, 24, 0.5, 7),
      param('heart', 'open in the middle', '%', 0, 60, 5, 10),
      param('overlap', 'over one another', '%', 0, 80, 10, 0),
    ],
    draw(h, v, b) {
      const rim = pathThrough(h, true)
      const middle: Point = [
        rim.reduce((sum, p) => sum + p[0], 0) / rim.length,
        rim.reduce((sum, p) => sum + p[1], 0) / rim.length,
      ]
      const round = lengthOf(rim, true)
      const open = v.heart / 100
      const over = v.overlap / 100
      const gap = over > 0 ? 1 - over / 2 : 1.08
      // The outermost row first: each row lies over the feet of the one around it, and between its petals.
      return shares(v.rows, 1, open + (1 - open) / v.rows).flatMap((reach, row) => {
        const count = Math.max(3, Math.round((round * reach) / (gap * v.wide)))
        const turns = Array.from({ length: count }, (_, i) => (i + (row % 2) / 2) / count)
        const foot = Math.max(open, reach - ((0.96 + over) * (1 - open)) / v.rows)
        return stationsAt(rim, turns, true).map(s =>
          spine(lineTo(mix(middle, s.at, foot), mix(middle, s.at, reach)), petalWidth(v.wide, thin(b) * 0.6)),
        )
      })
    },
  }),
  flower: stroke({
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
      param('count', 'petals', '', 3, 12, 1, 5),
      param('wide', 'width of a petal', 'mm', 1.5, 20, 0.5, 8),
      param('heart', 'open in the middle', '%', 0, 60, 5, 18),
    ],
    draw: (h, v, b) =>
      shares(v.count, 0, 360 * (1 - 1 / v.count)).map(a => {
        const r = distance(h[0]!, h[1]!)
        const way = turned(unit(h[0]!, h[1]!), a)
        return spine(lineTo(from(h[0]!, way, (r * v.heart) / 100), from(h[0]!, way, r)), t =>
          Math.max(thin(b) * 0.6, v.wide * Math.sin(Math.PI * Math.min(1, t * 0.94 + 0.03) ** 1.5) ** 0.7),
        )
      }),
  }),
  leaf: stroke({
    words: 'leaf',
    family: 'figure',
    handles: [2, 3],
    usual: [
      [0, 12],
      [3, 0],
      [0, -12],
    ],
    forms: ['filbert', 'round', 'flat', 'angled'],
    brush: 'filbert8',
    flow: 'both',
    params: [param('wide', 'width', 'mm', 2, 24, 0.5, 8), param('vein', 'open vein', 'mm', 0, 2, 0.1, 0.6)],
    draw: (h, v, b) => {
      const path = h.length > 2 ? quadratic(h[0]!, h[1]!, h[2]!) : lineTo(h[0]!, h[1]!)
      const at = sharesOf(path)
      // Without a vein it is one stroke, so that no seam shows in its middle.
      if (v.vein < 0.1) return [spine(path, petalWidth(v.wide, thin(b) * 0.3))]
      const half = (t: number) => Math.max(0, (petalWidth(v.wide, 0)(t) - v.vein) / 2)
      const stops = stationsAt(path, at)
      return [-1, 1].map(side => ({
        points: stops.map((s, i) =>
          from(s.at, left(s), side * (half(at[i]!) / 2 + (v.vein / 2) * Math.min(1, 8 * (1 - at[i]!)))),
        ),
        widths: at.map(t => Math.max(thin(b) * 0.3, half(t))),
      }))
    },
  }),
  starburst: stroke({
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
      param('rays', 'long rays', '', 2, 12, 1, 4),
      param('short', 'short rays', '%', 0, 100, 5, 45),
      param('hollow', 'open in the middle', '%', 0, 60, 5, 0),
    ],
    draw: (h, v, b) =>
      shares(2 * v.rays, 0, 360 * (1 - 1 / (2 * v.rays))).flatMap((a, i) => {
        const r = distance(h[0]!, h[1]!) * (i % 2 ? v.short / 100 : 1)
        const way = turned(unit(h[0]!, h[1]!), a)
        const inner = (distance(h[0]!, h[1]!) * v.hollow) / 100
        const t = thick(v, b) * (i % 2 ? 0.75 : 1)
        return r > inner + 0.5
          ? [
              spine(lineTo(from(h[0]!, way, inner), from(h[0]!, way, r)), s =>
                Math.max(0.12, t * (1 - s) ** 0.85),
              ),
            ]
          : []
      }),
  }),
  web: stroke({
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
      param('rays', 'rays', '', 2, 9, 1, 5),
      param('rings', 'rings', '', 1, 9, 1, 4),
      param('sag', 'sag', '%', 0, 60, 5, 25),
    ],
    draw: (h, v, b) => {
      const [centre, first, last] = h as [Point, Point, Point]
      const t = thick(v, b)
      const a = Math.atan2(first[1] - centre[1], first[0] - centre[0])
      const whole = Math.atan2(
        Math.sin(Math.atan2(last[1] - centre[1], last[0] - centre[0]) - a),
        Math.cos(Math.atan2(last[1] - centre[1], last[0] - centre[0]) - a),
      )
      const ends = shares(v.rays).map((s, i): Point => {
        const r = (distance(centre, first) * (1 - s) + distance(centre, last) * s) * (i % 2 ? 0.9 : 1)
        return [centre[0] + r * Math.cos(a + whole * s), centre[1] + r * Math.sin(a + whole * s)]
      })
      const rings = shares(v.rings, (0.9 / v.rings ** 0.35) * 0.35, 0.88)
      return [
        ...ends.map(e => spine(lineTo(centre, e), s => thin(b) + (t - thin(b)) * (1 - s))),
        ...rings.flatMap(f =>
          ends.slice(1).map((e, i) => {
            const p0 = mix(centre, ends[i]!, f)
            const p1 = mix(centre, e, f)
            return spine(
              quadratic(p0, mix(mix(p0, p1, 0.5), centre, v.sag / 100), p1),
              () => thin(b) + 0.35 * (t - thin(b)),
            )
          }),
        ),
      ]
    },
  }),
}
