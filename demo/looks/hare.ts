import { PLAIN_FACE } from '../../core/skin'
import { glitterColour, look, pass, ref } from './kit'

/** A hare of the snow for a small child: quick, and clear of lids and lashes. */
export const snowHare = look(
  {
    id: 'demo-snow-hare',
    name: 'Snow Hare',
    age: 5,
    skin: '#f6dccb',
    hair: '#b98a4e',
    cut: 'band',
    canvas: PLAIN_FACE,
    tags: ['fair', 'small child', 'quick'],
    budget: 240,
    notes: 'Saltmarsh Lantern Fair, ticket 061. Keep lids and lashes clear.',
    focus: [0, 30],
    sitting: { eyes: 'no', age: 5 },
  },
  ({ at, mid, over, drawn, patch, line, dots, sheet, glitter }) => [
    drawn(
      'White muzzle',
      [
        mid('noseTip', 0, -12),
        at('noseWing', -2, -14),
        at('noseWing', 12, -16),
        at('cheekbone', -10, 2),
        at('cheekbone', -8, 20),
        at('mouthCorner', 15, -10),
        at('mouthCorner', 3, -6),
        at('mouthCorner', -12, -8),
        mid('upperLip', 0, -2),
      ],
      ['gull', 'gull', 'sky'],
      { axis: { kind: 'out', from: [0, mid('noseBase')[1]], reach: 46 }, dabs: 4 },
    ),
    patch(
      'Falling snow',
      'halftone',
      { at: mid('nasion', 0, -34), tilt: 0, side: 'A' },
      (x, y) => y > mid('hairline', 0, 5)[1] && Math.abs(x) < 14 - (y - mid('hairline', 0, 5)[1]) * 0.62,
      [pass('sky', 5)],
      { optional: true, worth: 3 },
    ),
    line('leaf', [over(-7, 0.12), over(-9, 0.5), over(2, 0.86)], ref('gull'), {
      label: 'Ear',
      params: { wide: 15, vein: 0 },
    }),
    line('leaf', [over(-7, 0.2), over(-8, 0.48), over(0, 0.74)], ref('thrift'), {
      label: 'Inside of the ear',
      params: { wide: 7, vein: 0 },
    }),
    line('line', [over(-9, 0.1), over(-17, 0.42), over(-8, 0.74), over(3, 0.9)], ref('slate'), {
      label: 'Ear, inner edge',
      brush: 'round2',
      params: { press: 60 },
    }),
    line('line', [over(3, 0.9), over(7, 0.56), over(-3, 0.1)], ref('slate'), {
      label: 'Ear, outer edge',
      brush: 'round2',
      params: { press: 60 },
    }),
    line('leaf', [mid('noseTip', 0, 4.5), mid('noseTip', 0, -7.5)], ref('thrift'), {
      label: 'Nose',
      rule: 'none',
      params: { wide: 14, vein: 0 },
    }),
    dots(
      'row',
      [mid('noseTip', -2.5, -1), mid('noseTip', -2.2, -1)],
      ref('gull'),
      'Shine on the nose',
      { count: 1, first: 2.4, last: 2.4 },
      'none',
    ),
    line('line', [mid('noseBase', 0, -1), mid('upperLip', 0, -1)], ref('slate'), {
      label: 'Line under the nose',
      rule: 'none',
      brush: 'round2',
      params: { press: 55 },
    }),
    line('whiskers', [at('mouthCorner', 0, -13), at('cheekbone', 4, 22)], ref('slate'), {
      label: 'Whiskers',
      brush: 'round1',
      params: { count: 3, fan: 30, gap: 4, bow: 3, press: 60 },
    }),
    dots('cluster', [at('mouthCorner', -8, -12), at('mouthCorner', -2, -12)], ref('slate'), 'Whisker dots', {
      count: 5,
      first: 1.8,
      last: 1.2,
    }),
    line('fur', [at('cheekbone', -10, 6), at('cheekbone', -2, 18), at('mouthCorner', 20, -2)], ref('gull'), {
      label: 'Tufts on the cheek',
      brush: 'round3',
      params: { count: 12, length: 9, lean: -14, press: 45 },
    }),
    sheet('Snow stars', 'star-set', at('cheekbone', -2, -4), [pass('sky', 6)], {
      tilt: 26,
      rule: 'features',
      optional: true,
      worth: 3,
      passes: [{ ...pass('sky', 6), openings: { use: 'chosen', numbers: [0, 2, 4] } }],
    }),
    line('starburst', [at('browTail', 4, -16), at('browTail', 4, -23)], ref('gull'), {
      label: 'Snow star',
      params: { rays: 3, short: 45, press: 60 },
    }),
    dots(
      'row',
      [at('browTail', -4, -20), at('browPeak', 2, -14), mid('nasion', 5, -24)],
      ref('gull'),
      'Snow',
      { count: 5, first: 3, last: 1.4 },
    ),
    glitter('Frost on the cheeks', 'patch', [at('cheekbone', -14, 12), at('cheekbone', -14, -2)], {
      sort: 'fine',
      colour: glitterColour('Frost'),
      amount: 0.5,
      rule: 'features',
    }),
  ],
)
