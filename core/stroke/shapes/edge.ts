import { distance, mix } from '../../geometry'
import { arcThrough, lineTo, pathThrough, quadratic } from '../curves'
import { EVERY, ROUND, thick, thin, shares, left, from, turned, unit } from '../drawing'
import { param, PRESS } from '../params'
import { stroke } from '../shape'
import { dropWidth, jitter, lengthOf, spine, stationsAt, thinThickThin } from '../spine'

/** What is set along an edge. */
export const EDGES = {
  scallops: stroke({
    words: 'scallops',
    family: 'edge',
    handles: [2, 10],
    usual: [
      [-20, 4],
      [0, 0],
      [20, 4],
    ],
    forms: EVERY,
    brush: 'round2',
    flow: 'none',
    params: [
      PRESS,
      param('count', 'scallops', '', 1, 30, 1, 5),
      param('height', 'height', 'mm', 1, 25, 0.5, 6),
    ],
    draw: (h, v, b) => {
      const stops = stationsAt(pathThrough(h), shares(v.count + 1))
      const t = thick(v, b)
      return stops.slice(1).map((s, i) => {
        const a = stops[i]!
        const middle = mix(a.at, s.at, 0.5)
        const way = left({ at: middle, along: unit(a.at, s.at) })
        return spine(arcThrough(a.at, from(middle, way, v.height), s.at), thinThickThin(t, thin(b)))
      })
    },
  }),
  teeth: stroke({
    words: 'row of teeth',
    family: 'edge',
    handles: [2, 10],
    usual: [
      [-20, 0],
      [0, 3],
      [20, 0],
    ],
    forms: ROUND,
    brush: 'round3',
    flow: 'none',
    params: [
      param('count', 'teeth', '', 1, 40, 1, 7),
      param('height', 'height', 'mm', 1, 40, 0.5, 9),
      param('wide', 'width of a tooth', '%', 20, 100, 5, 90),
      param('lean', 'lean', '°', -60, 60, 5, 0),
      param('falling', 'shorter toward the ends', '%', 0, 90, 10, 0),
    ],
    draw: (h, v, b) => {
      const way = pathThrough(h)
      const wide = ((lengthOf(way) / v.count) * v.wide) / 100
      return stationsAt(way, shares(v.count, 0.5 / v.count, 1 - 0.5 / v.count)).map((s, i) => {
        const out = v.count > 1 ? Math.abs((2 * i) / (v.count - 1) - 1) : 0
        const tip = from(s.at, turned(left(s), v.lean), v.height * (1 - (v.falling / 100) * out))
        return spine(lineTo(s.at, tip), t => Math.max(thin(b) * 0.4, wide * (1 - t)))
      })
    },
  }),
  drops: stroke({
    words: 'row of drops',
    family: 'edge',
    handles: [2, 10],
    usual: [
      [-20, 0],
      [0, 3],
      [20, 0],
    ],
    forms: ROUND,
    brush: 'round3',
    flow: 'from',
    params: [
      param('count', 'drops', '', 1, 40, 1, 7),
      param('length', 'length', 'mm', 2, 40, 0.5, 8),
      param('wide', 'width of a drop', 'mm', 0.6, 14, 0.2, 3),
      param('lean', 'lean', '°', -80, 80, 5, 0),
      param('falling', 'smaller toward the end', '%', 0, 90, 10, 0),
    ],
    draw: (h, v, b) =>
      stationsAt(pathThrough(h), shares(v.count)).map((s, i) => {
        const size = v.count > 1 ? 1 - ((v.falling / 100) * i) / (v.count - 1) : 1
        // The round head lies outward, the tail on the way.
        const head = from(s.at, turned(left(s), v.lean), v.length * size)
        return spine(lineTo(head, s.at), dropWidth(v.wide * size, thin(b), 0.3))
      }),
  }),
  fur: stroke({
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
      param('count', 'hairs', '', 2, 120, 1, 22),
      param('length', 'length', 'mm', 2, 30, 0.5, 8),
      param('lean', 'lean', '°', -70, 70, 5, 15),
      param('uneven', 'unevenness', '%', 0, 100, 10, 50),
    ],
    draw: (h, v, b) =>
      stationsAt(pathThrough(h), shares(v.count)).map((s, i) => {
        const u = v.uneven / 100
        const way = turned(left(s), v.lean + 16 * u * jitter(i))
        const long = v.length * (1 + 0.45 * u * jitter(i, 1))
        const root = from(s.at, left(s), -0.12 * long + 0.15 * u * v.length * jitter(i, 3))
        const bend = turned(way, 24 * Math.sign(v.lean || 1))
        return spine(
          quadratic(root, from(root, way, long * 0.55), from(from(root, way, long * 0.55), bend, long * 0.5)),
          dropWidth(thick(v, b), 0.12, 0.18),
        )
      }),
  }),
  whiskers: stroke({
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
      param('count', 'whiskers', '', 1, 9, 1, 3),
      param('fan', 'fan', '°', 0, 70, 2, 24),
      param('gap', 'roots apart', 'mm', 0, 15, 0.5, 4),
      param('bow', 'bow', 'mm', -15, 15, 0.5, 4),
    ],
    draw: (h, v, b) =>
      shares(v.count, -0.5, 0.5).map((s, i) => {
        const u = v.count === 1 ? 0 : s
        const way = unit(h[0]!, h[1]!)
        const side = left({ at: h[0]!, along: way })
        const long = distance(h[0]!, h[1]!) * (1 - 0.2 * Math.abs(u))
        const root = from(from(h[0]!, side, -u * v.gap * (v.count - 1)), way, -2 * u * u * v.gap)
        const out = turned(way, u * v.fan)
        const tip = from(root, out, long)
        return spine(
          quadratic(
            root,
            from(mix(root, tip, 0.45), left({ at: root, along: out }), v.bow * (1 + 0.1 * jitter(i))),
            tip,
          ),
          dropWidth(thick(v, b), 0.15, 0.05),
        )
      }),
  }),
}
