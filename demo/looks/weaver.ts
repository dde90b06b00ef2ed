import { PLAIN_FACE } from '../../core/skin'
import { glitterColour, look, pass, ref } from './kit'

/** A web across the brow, sparkling with dew. */
export const dewWeaver = look(
  {
    id: 'demo-dew-weaver',
    name: 'Dew Weaver',
    age: 14,
    skin: '#b47c52',
    hair: '#1f1712',
    cut: 'side parting',
    face: 5,
    canvas: PLAIN_FACE,
    tags: ['fair', 'night', 'web'],
    budget: 330,
    notes: 'Saltmarsh Lantern Fair, ticket 066. Test patch was clear.',
    focus: [0, -8],
    sitting: { allergies: 'some', patch: 'clear' },
  },
  ({ at, mid, over, drawn, patch, line, dots, gemOf, glitter, lips }) => [
    drawn(
      'Dusk round the eyes',
      [
        mid('nasion', 0, -10),
        at('browStart', 3, -8),
        over(-4, 0.14),
        at('browTail', 2, -10),
        at('browTail', 12, -4),
        at('outerEye', 12, 10),
        at('outerEye', 0, 17),
        at('pupil', 0, 17),
        at('innerEye', -1, 12),
        mid('nasion', 3, 6),
      ],
      ['thrift', 'mulberry', 'plum'],
      { axis: { kind: 'out', from: [0, 0], reach: 58 } },
    ),
    patch(
      'Frosted web from the temple',
      'web',
      { at: [at('browTail', -27)[0], at('browTail', 0, -6)[1]], tilt: 14, side: 'B' },
      (x, y) => y < at('browPeak', 0, 1)[1] && x > -16,
      [pass('oyster', 4, { glitter: true })],
    ),
    patch(
      'Stars in the web',
      'star-set',
      { at: [-at('cheekbone', -14)[0], at('cheekbone', 0, 14)[1]], tilt: -24, side: 'A' },
      (x, y) =>
        x < -at('noseWing', 8)[0] &&
        y > at('outerEye', 0, 21)[1] &&
        y < at('mouthCorner', 0, -4)[1] &&
        x > -at('cheekbone', 4)[0],
      [pass('oyster', 5, { glitter: true })],
      { optional: true, worth: 3 },
    ),
    line(
      'web',
      [
        [-at('browTail', 6, -24)[0], at('browTail', 6, -24)[1]],
        [-at('browTail', 2, 8)[0], at('browTail', 2, 8)[1]],
        [-over(-18, 0.42)[0], over(-18, 0.42)[1]],
      ],
      ref('soot'),
      { label: 'Web by hand', rule: 'none', params: { rays: 6, rings: 5, sag: 28, press: 65 } },
    ),
    line('eyeliner', [at('innerEye', -2, 0.5), at('pupil', 0, -7.5), at('outerEye', 2, -1)], ref('soot'), {
      label: 'Eyeliner',
      params: { press: 90, wing: 14, rise: 30 },
    }),
    line('lashes', [at('outerEye', 3, 6), at('pupil', 0, 8.5)], ref('soot'), {
      label: 'Painted lashes below',
      brush: 'round2',
      optional: true,
      params: { count: 4, length: 8, lean: 10, press: 60 },
    }),
    line(
      'line',
      [
        mid('nasion', 3, 9),
        at('pupil', -4, 19),
        at('outerEye', 4, 17),
        at('browTail', 14, -2),
        at('browTail', 18, -14),
      ],
      ref('plum'),
      { label: 'Lower edge', brush: 'round3', params: { press: 60 } },
    ),
    line('line', [at('outerEye', -2, 20), at('outerEye', -3, 34), at('outerEye', -3, 44)], ref('soot'), {
      label: 'Thread',
      rule: 'none',
      brush: 'round1',
      params: { press: 40, even: 80 },
    }),
    dots(
      'row',
      [at('outerEye', -3, 46), at('outerEye', -3, 52.5)],
      ref('soot'),
      'Spider',
      { count: 2, first: 7, last: 4 },
      'none',
    ),
    line('whiskers', [at('outerEye', -1, 47), at('outerEye', 8, 46)], ref('soot'), {
      label: 'Its legs, right',
      rule: 'none',
      brush: 'round1',
      params: { count: 4, fan: 70, gap: 1.2, bow: 4, press: 60 },
    }),
    line('whiskers', [at('outerEye', -5, 47), at('outerEye', -14, 46)], ref('soot'), {
      label: 'Its legs, left',
      rule: 'none',
      brush: 'round1',
      params: { count: 4, fan: 70, gap: 1.2, bow: -4, press: 60 },
    }),
    dots(
      'row',
      [over(4, 0.28), over(-8, 0.24), mid('nasion', 5, -20)],
      ref('gull'),
      'Dew on the threads',
      { count: 6, first: 3.2, last: 1.2 },
      'features',
    ),
    dots(
      'threes',
      [mid('nasion', 0, -30), mid('nasion', 0, -17)],
      ref('gull'),
      'Dew on the midline',
      { first: 4.4, last: 1.8 },
      'none',
    ),
    lips(['plum']),
    glitter('Dew', 'patch', [at('browTail', 0, -22), at('browTail', 0, -40)], {
      sort: 'fine',
      colour: glitterColour('Frost'),
      amount: 0.35,
      rule: 'features',
    }),
    gemOf([mid('nasion', 0, -9)], 5, 'Rose', { cut: 'drop', heading: 180 }),
    gemOf([at('outerEye', 14, 14)], 4, 'Violet', {}, 'features'),
  ],
)
