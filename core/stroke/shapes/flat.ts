import { pathThrough } from '../curves'
import { thick, thin, chisel } from '../drawing'
import { param, PRESS } from '../params'
import { stroke } from '../shape'
import { spine } from '../spine'

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
    params: [{ ...PRESS, usual: 100 }, param('ends', 'set down on its edge', '%', 0, 100, 10, 60)],
    draw: (h, v, b) => [spine(pathThrough(h), chisel(thick(v, b), thin(b), v.ends / 100))],
  }),
}
