import { pathThrough } from '../curves'
import { thick, thin, from, left } from '../drawing'
import { choice, param, PRESS } from '../params'
import { stroke } from '../shape'
import { sharesOf, stationsAt, type Spine } from '../spine'

/** How a flat brush can be set down, or lifted, at an end of a band (common practice). */
const ENDS = [
  'on its edge',
  'flat',
  'to a point',
  'on its left toe',
  'on its right toe',
  'with a flick to the left',
  'with a flick to the right',
] as const
/** Which way an end leans, left of the travel above 0; the others do not. */
const LEANS = [0, 0, 0, 1, -1, 1, -1]
/** The first of the ends that are a flick. */
const FLICK = 5
/** Least share of a band that an end takes that narrows, and how far a flick goes aside, widths of the brush. */
const NARROWS = 0.16
const ASIDE = 0.9

/** How wide a band is near an end, 0 to 1. */
function widthNear(end: number, share: number, ends: number): number {
  if (end === 0)
    return ends <= 0 ? 1 : Math.sin((Math.PI / 2) * Math.min(1, share / Math.max(1e-3, ends / 2))) ** 0.9
  if (end === 1) return 1
  return Math.min(1, share / Math.max(NARROWS, ends / 2))
}

/** Strokes of a flat brush. */
export const FLATS = {
  band: stroke({
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
    params: [
      { ...PRESS, usual: 100 },
      param('ends', 'how long its ends are', '%', 0, 100, 10, 60),
      choice('start', 'set down', ENDS),
      choice('end', 'lifted', ENDS),
    ],
    draw(h, v, b): Spine[] {
      const path = pathThrough(h)
      const at = sharesOf(path)
      const full = thick(v, b)
      const least = thin(b)
      const ends = v.ends / 100
      const widths = at.map(t => {
        const near = Math.min(widthNear(v.start, t, ends), widthNear(v.end, 1 - t, ends))
        return least + (full - least) * near
      })
      /** How far the middle of the brush goes aside, left of its travel, so that a toe's edge stays straight. */
      const aside = (end: number, share: number): number => {
        const missing = 1 - widthNear(end, share, ends)
        return LEANS[end]! * (end < FLICK ? ((full - least) / 2) * missing : ASIDE * full * missing ** 2)
      }
      const stops = stationsAt(path, at)
      const points = stops.map((s, i) =>
        v.start < 3 && v.end < 3
          ? path[i]!
          : from(s.at, left(s), aside(v.start, at[i]!) + aside(v.end, 1 - at[i]!)),
      )
      return [{ points, widths }]
    },
  }),
}
