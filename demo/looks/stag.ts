import { PLAIN_FACE } from '../../core/skin'
import { glitterColour, look, pass, ref } from './kit'

/** A stag with antlers over the brows and a fawn's spots. */
export const fernStag = look(
  {
    id: 'demo-fern-stag',
    name: 'Fern Stag',
    age: 24,
    skin: '#c58e66',
    hair: '#2a1d16',
    face: 3,
    canvas: { ...PLAIN_FACE, build: 'broad' },
    tags: ['fair', 'forest'],
    budget: 420,
    notes: 'Saltmarsh Lantern Fair, ticket 040.',
    focus: [0, 4],
  },
  ({ at, mid, over, drawn, spot, sheet, patch, line, dots, gemOf, glitter }) => [
    drawn(
      'Forest lids',
      [
        mid('nasion', 0, -12),
        at('browStart', 4, -7),
        over(-2, 0.1),
        at('browTail', 2, -10),
        at('browTail', 12, -8),
        at('outerEye', 15, 4),
        at('outerEye', 4, 14),
        at('pupil', 0, 15),
        at('innerEye', 0, 10),
        mid('nasion', 4, 8),
      ],
      ['beacon', 'fern', 'kelp'],
      { axis: { kind: 'out', from: [0, 0], reach: 60 } },
    ),
    spot(
      'Muzzle',
      [
        mid('nasion', -6, 12),
        mid('nasion', 6, 12),
        [17, 38],
        [22, 54],
        [16, 64],
        mid('upperLip', 0, -2),
        [-16, 64],
        [-22, 54],
        [-17, 38],
      ],
      ['ivory', 'sand'],
      { tool: 'makeup', dabs: 4 },
    ),
    sheet('Fern on the cheek', 'leaf-spray', at('cheekbone', -8, 10), [pass('kelp', 8), pass('fern', 2)], {
      tilt: 128,
      side: 'B',
      rule: 'features',
    }),
    patch(
      'Dapples',
      'halftone',
      { at: at('browTail', 2, 2), tilt: 70, side: 'A' },
      (x, y) =>
        x > at('browTail', -1)[0] &&
        x < at('browTail', 15)[0] &&
        y > at('browTail', 0, -16)[1] &&
        y < at('outerEye', 0, 12)[1],
      [pass('kelp', 5)],
      { rule: 'features', optional: true, worth: 3 },
    ),
    line('line', [over(-13, 0.02), over(-17, 0.4), over(-9, 0.72), over(6, 0.9)], ref('peat'), {
      label: 'Antler',
      brush: 'round4',
      params: { press: 90 },
    }),
    line('line', [over(-16, 0.34), over(-22, 0.55), over(-21, 0.78)], ref('peat'), {
      label: 'First tine',
      brush: 'round4',
      params: { press: 62 },
    }),
    line('line', [over(-11, 0.62), over(-10, 0.84), over(-3, 1)], ref('peat'), {
      label: 'Second tine',
      brush: 'round4',
      params: { press: 55 },
    }),
    line('line', [over(-8, 0.68), over(5, 0.6), over(13, 0.7)], ref('peat'), {
      label: 'Third tine',
      brush: 'round4',
      params: { press: 58 },
    }),
    line('line', [over(-14, 0.1), over(-16.5, 0.38), over(-9.6, 0.68)], ref('sand'), {
      label: 'Light on the antler',
      brush: 'round2',
      params: { press: 55 },
    }),
    line('leaf', [mid('noseTip', 0, 6), mid('noseTip', 0, -9)], ref('peat'), {
      label: 'Nose',
      rule: 'none',
      params: { wide: 19, vein: 0 },
    }),
    line('line', [mid('noseBase', 0, 0), mid('upperLip', 0, -2.5)], ref('peat'), {
      label: 'Line under the nose',
      rule: 'none',
      params: { press: 45 },
    }),
    line('cCurve', [mid('noseTip', -5, -3), mid('noseTip', -2, -5), mid('noseTip', 2, -5)], ref('gull'), {
      label: 'Shine on the nose',
      rule: 'none',
      brush: 'round2',
      params: { press: 70 },
    }),
    line('eyeliner', [at('innerEye', -2, 0.5), at('pupil', 0, -7.5), at('outerEye', 2, -1)], ref('peat'), {
      label: 'Eyeliner',
      params: { press: 85, wing: 9, rise: 18 },
    }),
    line('line', [at('innerEye', -4, 5), at('innerEye', -7, 18), at('noseWing', -5, -14)], ref('kelp'), {
      label: 'Side of the nose',
      params: { press: 45 },
    }),
    dots('row', [over(18, -0.04), over(6, 0.04), over(-9, -0.02)], ref('gull'), 'Fawn spots over the brow', {
      count: 5,
      first: 3.8,
      last: 1.6,
    }),
    dots('cluster', [at('cheekbone', -18, -8), at('cheekbone', -8, -8)], ref('gull'), 'Fawn spots', {
      count: 7,
      first: 3.4,
      last: 1.4,
    }),
    dots(
      'row',
      [mid('nasion', 0, -44), mid('nasion', 0, -30), mid('nasion', 0, -18)],
      ref('lantern'),
      'Gold down the forehead',
      { count: 5, first: 4.6, last: 1.8 },
      'none',
    ),
    gemOf([mid('nasion', 0, -10)], 5, 'Moss', { cut: 'drop', heading: 180 }),
    glitter('Dew', 'patch', [at('outerEye', 12, 0), at('outerEye', 12, -13)], {
      sort: 'fine',
      colour: glitterColour('Leaf dust'),
      amount: 0.5,
      rule: 'features',
    }),
  ],
)
