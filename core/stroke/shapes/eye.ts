import { radians, type Point } from '../../geometry'
import { arcThrough, pathThrough, quadratic } from '../curves'
import { ROUND, thick, thin, shares, left, from, turned, unit } from '../drawing'
import { param, PRESS } from '../params'
import { stroke } from '../shape'
import { dropWidth, spine, stationsAt } from '../spine'

/** Strokes along the lash line. */
export const EYES = {
  eyeliner: stroke({
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
      param('wing', 'wing', 'mm', 0, 30, 0.5, 9),
      param('rise', 'rise', '°', -20, 60, 2, 24),
    ],
    draw: (h, v, b) => {
      const lid = arcThrough(h[0]!, h[1]!, h[2]!)
      const out = unit(h[0]!, h[2]!)
      const up: Point = out[0] >= 0 ? [out[1], -out[0]] : [-out[1], out[0]]
      const r = radians(v.rise)
      const way: Point = [
        out[0] * Math.cos(r) + up[0] * Math.sin(r),
        out[1] * Math.cos(r) + up[1] * Math.sin(r),
      ]
      const tip = from(h[2]!, way, v.wing)
      const points =
        v.wing > 0.5
          ? [...lid, ...quadratic(h[2]!, from(h[2]!, unit(lid.at(-3)!, h[2]!), v.wing * 0.3), tip).slice(1)]
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
  }),
  lashes: stroke({
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
      param('count', 'lashes', '', 2, 30, 1, 9),
      param('length', 'length', 'mm', 2, 20, 0.5, 7),
      param('lean', 'fan outward', '°', 0, 80, 5, 45),
    ],
    draw: (h, v, b) =>
      stationsAt(pathThrough(h), shares(v.count, 0.04, 1)).map((s, i, all) => {
        const t = all.length > 1 ? i / (all.length - 1) : 1
        const sign = Math.sign(s.along[0]) || 1
        const lean = (-12 + (v.lean + 12) * t) * sign
        const long = v.length * (0.62 + 0.38 * t)
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
  }),
}
