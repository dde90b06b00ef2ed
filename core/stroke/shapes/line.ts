import { distance, type Point } from '../../geometry'
import { arcThrough, lineTo, logSpiral, pathThrough, quadratic, sCurve } from '../curves'
import { EVERY, ROUND, thick, thin, shares, left, from, turned, unit } from '../drawing'
import { param, PRESS } from '../params'
import { stroke } from '../shape'
import { dropWidth, jitter, sharesOf, spine, stationsAt, thinThickThin } from '../spine'

/** Strokes of a round brush along a path. */
export const LINES = {
  line: stroke({
    words: 'line, thin to thick to thin',
    family: 'line',
    handles: [2, 16],
    usual: [
      [0, 16],
      [4, 0],
      [0, -16],
    ],
    forms: EVERY,
    brush: 'round3',
    flow: 'both',
    params: [PRESS, param('even', 'evenness', '%', 0, 100, 10, 0)],
    draw: (h, v, b) => {
      const t = thick(v, b)
      const taper = thinThickThin(t, thin(b))
      const even = v.even / 100
      return [spine(pathThrough(h), s => taper(s) + (t - taper(s)) * even)]
    },
  }),
  teardrop: stroke({
    words: 'teardrop',
    family: 'line',
    handles: [2, 3],
    usual: [
      [0, 9],
      [0, -9],
    ],
    forms: EVERY,
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
  }),
  swirl: stroke({
    words: 'swirl with a tail',
    family: 'line',
    handles: [3, 3],
    usual: [
      [0, 6],
      [7, 6],
      [0, -16],
    ],
    forms: EVERY,
    brush: 'round3',
    flow: 'to',
    params: [
      { ...PRESS, usual: 60 },
      param('turns', 'turns', '', 0.5, 3, 0.1, 1.4),
      param('shrink', 'winds in to', '%', 8, 80, 2, 22),
    ],
    draw: (h, v, b) => {
      const [centre, outer, tip] = h as [Point, Point, Point]
      const radius = unit(centre, outer)
      const ahead: Point = [-radius[1], radius[0]]
      // It winds the way round that its tail then leaves without a kink.
      const way = ahead[0] * (tip[0] - outer[0]) + ahead[1] * (tip[1] - outer[1]) >= 0 ? 1 : -1
      const reach = distance(outer, tip) * 0.5
      const curl = logSpiral(centre, outer, -way * v.turns, v.shrink / 100).reverse()
      const tail = quadratic(outer, from(outer, ahead, way * reach), tip)
      const points = [...curl, ...tail.slice(1)]
      const t = thick(v, b)
      const taper = thinThickThin(t, thin(b))
      return [spine(points, s => Math.max(taper(s), s < 0.06 ? t * 0.75 * Math.sqrt(s / 0.06) : 0))]
    },
  }),
  cCurve: stroke({
    words: 'C curve',
    family: 'line',
    handles: [3, 3],
    usual: [
      [3, 14],
      [-5, 0],
      [3, -14],
    ],
    forms: EVERY,
    brush: 'round3',
    flow: 'both',
    params: [PRESS],
    draw: (h, v, b) => [spine(arcThrough(h[0]!, h[1]!, h[2]!), thinThickThin(thick(v, b), thin(b)))],
  }),
  sCurve: stroke({
    words: 'S curve',
    family: 'line',
    handles: [3, 3],
    usual: [
      [0, 18],
      [-5, 9],
      [0, -18],
    ],
    forms: EVERY,
    brush: 'round3',
    flow: 'both',
    params: [PRESS],
    draw: (h, v, b) => [spine(sCurve(h[0]!, h[1]!, h[2]!), thinThickThin(thick(v, b), thin(b)))],
  }),
  zigzag: stroke({
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
    params: [
      PRESS,
      param('count', 'points', '', 2, 40, 1, 7),
      param('height', 'height', 'mm', 1, 25, 0.5, 6),
    ],
    draw: (h, v, b) => {
      const path = pathThrough(h)
      const stops = stationsAt(path, shares(2 * v.count + 1))
      const corners = stops.map((s, i) => (i % 2 ? from(s.at, left(s), v.height) : s.at))
      const t = thick(v, b)
      return [
        spine(
          corners.flatMap((c, i) => (i ? lineTo(corners[i - 1]!, c).slice(1) : [c])),
          s => thin(b) + (t - thin(b)) * Math.min(1, 6 * Math.min(s, 1 - s)),
        ),
      ]
    },
  }),
  stitches: stroke({
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
      param('count', 'stitches', '', 1, 30, 1, 6),
      param('length', 'length of a stitch', 'mm', 2, 20, 0.5, 7),
      param('lean', 'lean', '°', -60, 60, 5, 12),
    ],
    draw: (h, v, b) => {
      const path = pathThrough(h)
      const t = thick(v, b)
      return [
        spine(path, thinThickThin(t, thin(b))),
        ...stationsAt(path, shares(v.count, 0.5 / v.count, 1 - 0.5 / v.count)).map((s, i) => {
          const way = turned(left(s), v.lean + 6 * jitter(i))
          const half = (v.length / 2) * (1 + 0.12 * jitter(i, 2))
          return spine(lineTo(from(s.at, way, -half), from(s.at, way, half)), thinThickThin(t, thin(b)))
        }),
      ]
    },
  }),
  corners: stroke({
    words: 'line with corners',
    family: 'line',
    handles: [2, 16],
    usual: [
      [-16, 6],
      [-6, -6],
      [5, 6],
      [16, -6],
    ],
    forms: ROUND,
    brush: 'round2',
    flow: 'both',
    params: [PRESS],
    // Each side is a pull of its own, a little past its corner: that is how a brush turns sharply.
    draw: (h, v, b) => h.slice(1).map((to, i) => spine(lineTo(h[i]!, to), () => thick(v, b))),
  }),
}
