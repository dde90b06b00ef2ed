import { PLAIN_FACE } from '../../core/skin'
import { cake, glitterColour, look, pass, ref } from './kit'

/** A crown of the sea, scales up the cheeks, gold edges. */
export const tideQueen = look(
  {
    id: 'demo-tide-queen',
    name: 'Tide Queen',
    age: 30,
    skin: '#8d5a3b',
    hair: '#1c1512',
    cut: 'curls',
    face: 7,
    eyes: 'closed',
    canvas: PLAIN_FACE,
    tags: ['fair', 'sea', 'crown'],
    budget: 480,
    notes: 'Saltmarsh Lantern Fair, ticket 031.',
    focus: [0, -4],
  },
  ({ at, mid, over, drawn, sheet, patch, line, dots, gemOf, glitter, lips }) => [
    drawn(
      'Sea base',
      [
        mid('nasion', 0, -24),
        at('browStart', 4, -18),
        over(-4, 0.24),
        over(8, 0.22),
        at('browTail', 5, -10),
        at('browTail', 11, 2),
        at('outerEye', 15, 12),
        at('cheekbone', -2, 6),
        at('cheekbone', -18, 8),
        at('pupil', 0, 20),
        at('innerEye', 0, 15),
        mid('nasion', 4, 10),
      ],
      ['foam', 'lagoon', 'harbour'],
      { axis: { kind: 'out', from: [0, 0], reach: 62 } },
    ),
    patch(
      'Scales up the cheek',
      'scales',
      { at: at('cheekbone', -3, 4), tilt: 132, side: 'A' },
      (x, y) =>
        x > at('pupil', 2)[0] &&
        x < at('cheekbone', 6)[0] &&
        y > at('cheekbone', 0, 3)[1] &&
        y < at('cheekbone', 0, 34)[1] &&
        x - y > -14,
      [pass('harbour', 6), pass('foam', 2)],
      { rule: 'midline' },
    ),
    sheet('Tide crown', 'crown-crest', mid('nasion', 0, -39), [pass('gull', 7), pass('lantern', 6)]),
    line(
      'band',
      [at('cheekbone', -24, 4), at('cheekbone', -6, 0), at('outerEye', 17, 0), at('browTail', 9, -16)],
      ref('harbour'),
      {
        label: 'Wave at the side',
        brush: 'flat13',
        load: { kind: 'cake', cake: cake('harbour-lights') },
        dark: 'right',
        params: { press: 75, ends: 100 },
      },
    ),
    line('eyeliner', [at('innerEye', 0, 1.5), at('pupil', 0, 1), at('outerEye', 2, 1)], ref('soot'), {
      label: 'Eyeliner',
      params: { press: 85, wing: 12, rise: 24 },
    }),
    line('swirl', [at('cheekbone', -10, 21), at('cheekbone', -3, 21), at('noseWing', 10, -10)], ref('gull'), {
      label: 'Foam swirl',
      params: { turns: 1.4, press: 60, shrink: 20 },
    }),
    line(
      'swirl',
      [at('cheekbone', -4, 38), at('cheekbone', 1, 38), at('noseWing', 18, 4)],
      ref('tide-pearl'),
      { label: 'Second swirl', params: { turns: 1.2, press: 50, shrink: 22 } },
    ),
    line('scallops', [at('browStart', 0, -8), at('browPeak', 0, -9), at('browTail', 4, -6)], ref('lantern'), {
      label: 'Gold along the brow',
      params: { count: 5, height: 3.5, press: 60 },
    }),
    line('teardrop', [mid('noseTip', 0, -10), mid('nasion', 0, -6)], ref('lantern'), {
      label: 'Drop down the nose',
      rule: 'none',
      params: { press: 80 },
    }),
    dots(
      'row',
      [at('innerEye', -3, 12), at('innerEye', 3, 18), at('pupil', 2, 24)],
      ref('gull'),
      'Pearls under the eye',
      { count: 6, first: 1.3, last: 2.8 },
    ),
    dots('threes', [at('cheekbone', -24, 36), at('cheekbone', -30, 28)], ref('gull'), 'Bubbles', {
      first: 4,
      last: 1.6,
    }),
    lips(['tide-pearl']),
    glitter('Gel along the crown', 'trail', [over(14, 0.1), over(-4, 0.35), mid('nasion', 0, -25)], {
      sort: 'gel',
      width: 6,
      colour: glitterColour('Sea dust'),
      amount: 0.5,
      rule: 'features',
    }),
    gemOf([mid('nasion', 0, -14)], 8, 'Sea', { cut: 'drop', heading: 180 }),
    gemOf([at('outerEye', 17, -4)], 5, 'Clear', {}, 'features'),
  ],
)
