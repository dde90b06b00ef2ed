import { PLAIN_FACE } from '../../core/skin'
import { cake, glitterColour, look, pass, ref } from './kit'

/** Wings of fire that open from the bridge of the nose. */
export const emberWing = look(
  {
    id: 'demo-ember-wing',
    name: 'Ember Wing',
    age: 17,
    skin: '#5b3722',
    hair: '#120d0a',
    cut: 'curls',
    face: 1,
    canvas: { ...PLAIN_FACE, build: 'broad' },
    tags: ['fair', 'bird', 'fire'],
    budget: 420,
    notes: 'Saltmarsh Lantern Fair, ticket 018.',
    focus: [0, 0],
  },
  ({ at, mid, over, drawn, patch, sheet, line, dots, gemOf, glitter }) => [
    drawn(
      'White under the fire',
      [
        mid('nasion', 0, -16),
        at('browStart', 4, -12),
        over(-4, 0.22),
        over(8, 0.26),
        at('browTail', 6, -10),
        at('outerEye', 10, 2),
        at('outerEye', 0, 13),
        at('pupil', -2, 17),
        at('innerEye', 0, 12),
        mid('nasion', 4, 8),
      ],
      ['ivory'],
      { dabs: 3 },
    ),
    drawn(
      'Fire',
      [
        mid('nasion', 0, -20),
        at('browStart', 4, -16),
        over(-4, 0.3),
        over(10, 0.36),
        at('browTail', 12, -16),
        at('outerEye', 16, 2),
        at('outerEye', 6, 18),
        at('pupil', -2, 21),
        at('innerEye', 0, 16),
        mid('nasion', 4, 10),
      ],
      ['beacon', 'ember', 'rust'],
      { axis: { kind: 'out', from: [0, 0], reach: 64 } },
    ),
    patch(
      'Sparks',
      'halftone',
      { at: at('browTail', 4, -14), tilt: 60, side: 'A' },
      (x, y) =>
        x > at('browPeak', 2)[0] &&
        x < at('browTail', 14)[0] &&
        y < at('browTail', 0, -2)[1] &&
        y > over(0, 0.62)[1],
      [pass('rosehip', 6)],
      { rule: 'midline', optional: true, worth: 3 },
    ),
    sheet('Swirl of heat', 'swirl-small', at('cheekbone', -10, 17), [pass('ember', 6), pass('beacon', 1)], {
      tilt: -32,
      rule: 'features',
      optional: true,
      worth: 4,
    }),
    line(
      'petals',
      [at('browTail', -6, -16), at('browTail', 2, -6), at('outerEye', 6, 4), at('outerEye', 0, 13)],
      ref('beacon'),
      {
        label: 'Long feathers',
        brush: 'flat19',
        load: { kind: 'cake', cake: cake('bonfire') },
        dark: 'right',
        params: { count: 5, length: 20, wide: 9, lean: -26 },
      },
    ),
    line('petals', [at('outerEye', 2, 14), at('pupil', 6, 18), at('pupil', -8, 16)], ref('beacon'), {
      label: 'Small feathers',
      brush: 'filbert8',
      load: { kind: 'double', light: ref('beacon'), dark: ref('ember') },
      params: { count: 3, length: 15, wide: 7, lean: -30 },
    }),
    line(
      'line',
      [
        mid('nasion', 0, 9),
        at('innerEye', 1, 15),
        at('pupil', 0, 20),
        at('outerEye', 5, 13),
        at('browTail', 12, -8),
        at('browTail', 22, -30),
      ],
      ref('soot'),
      { label: 'Edge of the wing', brush: 'round3', params: { press: 65 } },
    ),
    line(
      'line',
      [mid('nasion', 0, -19), at('browStart', 4, -16), over(-2, 0.34), over(10, 0.5), over(20, 0.62)],
      ref('soot'),
      { label: 'Upper edge', brush: 'round3', params: { press: 60 } },
    ),
    line('line', [at('browStart', 4, -11), over(-2, 0.24), over(10, 0.34)], ref('beacon'), {
      label: 'Light on the edge',
      brush: 'round2',
      params: { press: 60 },
    }),
    line('eyeliner', [at('innerEye', -2, 0.5), at('pupil', 0, -7.5), at('outerEye', 2, -1)], ref('soot'), {
      label: 'Eyeliner',
      params: { press: 90, wing: 12, rise: 24 },
    }),
    line('teardrop', [mid('nasion', 0, -46), mid('nasion', 0, -22)], ref('lantern'), {
      label: 'Flame on the midline',
      rule: 'none',
      params: { press: 100 },
    }),
    line('sCurve', [mid('nasion', 9, -42), mid('nasion', 13, -35), mid('nasion', 5, -21)], ref('ember'), {
      label: 'Flame beside it',
      brush: 'round4',
      params: { press: 75 },
    }),
    line('sCurve', [mid('nasion', 18, -38), mid('nasion', 21, -31), mid('nasion', 9, -19)], ref('rosehip'), {
      label: 'Outer flame',
      brush: 'round4',
      params: { press: 65 },
    }),
    dots(
      'row',
      [at('noseWing', 16, -14), at('noseWing', 26, -14), at('cheekbone', -10, 8)],
      ref('beacon'),
      'Embers on the cheek',
      { count: 5, first: 1.4, last: 3.4 },
    ),
    dots(
      'row',
      [mid('nasion', 0, -14), mid('nasion', 0, 2), mid('noseTip', 0, -12)],
      ref('beacon'),
      'Embers down the nose',
      { count: 5, first: 3.8, last: 1.3 },
      'none',
    ),
    glitter(
      'Gold over the wings',
      'outline',
      [
        at('browStart', 4, -10),
        over(-2, 0.28),
        over(12, 0.3),
        at('browTail', 12, -6),
        at('browPeak', 4, 3),
        at('browStart', 4, -2),
      ],
      { sort: 'fine', colour: glitterColour('Gold dust'), amount: 0.32, rule: 'features' },
    ),
    gemOf([mid('nasion', 0, -50)], 6, 'Ruby', { cut: 'drop', heading: 180 }),
  ],
)
