import { PLAIN_FACE } from '../../core/skin'
import { look, pass, ref } from './kit'

/** A barn owl's white heart, with feathers all round it. */
export const barnOwl = look(
  {
    id: 'demo-barn-owl',
    name: 'Barn Owl',
    age: 9,
    skin: '#e8c3a4',
    hair: '#4b3625',
    cut: 'short crop',
    canvas: PLAIN_FACE,
    tags: ['fair', 'bird'],
    budget: 400,
    notes: 'Saltmarsh Lantern Fair, ticket 009. Asked for a real owl, not a cartoon.',
    focus: [0, 12],
  },
  ({ at, mid, over, drawn, patch, line, dots }) => [
    drawn(
      'Russet rim',
      [
        mid('nasion', 0, -27),
        over(-10, 0.62),
        over(8, 0.55),
        at('browTail', 6, -14),
        at('outerEye', 15, 4),
        at('cheekbone', 0, 16),
        at('mouthCorner', 12, -12),
        at('mouthCorner', -6, -9),
        mid('upperLip', 0, -4),
      ],
      ['sand', 'ember', 'peat'],
      { axis: { kind: 'out', from: [0, 10], reach: 74 } },
    ),
    drawn(
      'White heart',
      [
        mid('nasion', 0, -13),
        at('browStart', 3, -12),
        over(0, 0.28),
        at('browTail', 1, -7),
        at('outerEye', 9, 4),
        at('cheekbone', -8, 10),
        at('noseWing', 17, 8),
        at('noseWing', 4, 9),
        mid('noseBase', 0, 6),
      ],
      ['gull', 'gull', 'ivory'],
      { axis: { kind: 'out', from: [0, 12], reach: 60 }, dabs: 4 },
    ),
    line(
      'fur',
      [
        mid('nasion', 0, -15),
        at('browStart', 3, -14),
        over(0, 0.3),
        at('browTail', 2, -9),
        at('outerEye', 11, 4),
        at('cheekbone', -6, 12),
        at('noseWing', 18, 10),
        at('noseWing', 5, 11),
      ],
      ref('peat'),
      {
        label: 'Dark feathers round the heart',
        brush: 'round3',
        params: { count: 54, length: 8, lean: 12, press: 45, uneven: 40 },
      },
    ),
    line(
      'fur',
      [
        mid('nasion', 0, -11),
        at('browStart', 3, -10),
        over(0, 0.22),
        at('browTail', 0, -5),
        at('outerEye', 8, 5),
        at('cheekbone', -10, 10),
        at('noseWing', 16, 10),
      ],
      ref('gull'),
      {
        label: 'White feathers over them',
        brush: 'round3',
        params: { count: 44, length: 7, lean: 12, press: 42, uneven: 50 },
      },
    ),
    patch(
      'Small feathers, forehead',
      'scales',
      { at: mid('nasion', 0, -36), tilt: 0, side: 'A' },
      (x, y) =>
        y < over(0, 0.42)[1] + 4 * Math.cos(x / 9) && y > mid('hairline', 0, 8)[1] && Math.abs(x) < 44,
      [pass('driftwood', 5), pass('sand', 1)],
      { optional: true, worth: 4 },
    ),
    patch(
      'Flecks beside the heart',
      'halftone',
      { at: at('cheekbone', 0, 6), tilt: 20, side: 'A' },
      (x, y) =>
        x > at('outerEye', 9)[0] &&
        x < at('cheekbone', 4)[0] &&
        y > at('outerEye', 0, 8)[1] &&
        y < at('mouthCorner', 0, -8)[1],
      [pass('peat', 5)],
      { rule: 'features', optional: true, worth: 3 },
    ),
    line(
      'line',
      [
        at('innerEye', -3, 4),
        at('innerEye', 0, -4),
        at('pupil', 0, -11),
        at('outerEye', 3, -4),
        at('outerEye', 8, -9),
      ],
      ref('soot'),
      { label: 'Round the eye, upper', brush: 'round3', params: { press: 70 } },
    ),
    line('line', [at('innerEye', -3, 4), at('pupil', 0, 8), at('outerEye', 3, 2)], ref('soot'), {
      label: 'Round the eye, lower',
      brush: 'round2',
      params: { press: 60 },
    }),
    line('fur', [at('innerEye', 0, 6), at('innerEye', -4, 13), at('noseWing', -8, -16)], ref('sand'), {
      label: 'Down beside the beak',
      brush: 'round2',
      params: { count: 10, length: 7, lean: 30, press: 45 },
    }),
    line('leaf', [mid('nasion', 0, 15), mid('noseBase', 0, -3)], ref('ivory'), {
      label: 'Beak',
      rule: 'none',
      params: { wide: 12, vein: 0 },
    }),
    line(
      'line',
      [mid('nasion', 0, 13), at('noseWing', -11, -17), at('noseWing', -11, -9), mid('noseBase', 0.6, -3)],
      ref('peat'),
      { label: 'Edge of the beak', brush: 'round2', params: { press: 55 } },
    ),
    line('line', [mid('noseTip', -1.6, -14), mid('noseTip', -1.6, -2)], ref('gull'), {
      label: 'Shine on the beak',
      rule: 'none',
      brush: 'round2',
      params: { press: 60 },
    }),
    dots('row', [mid('nasion', 0, -45), over(-12, 0.8), over(6, 0.72)], ref('gull'), 'Flecks', {
      count: 6,
      first: 2.6,
      last: 1.4,
    }),
    dots('cluster', [at('cheekbone', -12, 24), at('cheekbone', -5, 24)], ref('peat'), 'Flecks on the cheek', {
      count: 8,
      first: 1.8,
      last: 1,
    }),
  ],
)
