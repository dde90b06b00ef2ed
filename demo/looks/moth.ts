import { PLAIN_FACE } from '../../core/skin'
import { glitterColour, look, pass, ref } from './kit'

/** A moth between the brows over a night mask. */
export const midnightMoth = look(
  {
    id: 'demo-midnight-moth',
    name: 'Midnight Moth',
    age: 12,
    skin: '#dcb093',
    hair: '#3a2a20',
    cut: 'side parting',
    face: 2,
    canvas: { ...PLAIN_FACE, build: 'broad' },
    tags: ['fair', 'night'],
    budget: 360,
    notes: 'Saltmarsh Lantern Fair, ticket 014. Wants the moth right between the brows.',
    focus: [0, -6],
  },
  ({ at, mid, over, drawn, sheet, patch, line, dots, gemOf, glitter }) => {
    const mask = drawn(
      'Night mask',
      [
        mid('nasion', 0, -30),
        over(-14, 0.34),
        over(6, 0.42),
        at('browTail', 6, -18),
        at('browTail', 14, -4),
        at('outerEye', 14, 8),
        at('outerEye', 2, 17),
        at('pupil', 0, 21),
        at('innerEye', 0, 17),
        mid('nasion', 4, 10),
      ],
      ['lilac-pearl', 'dusk', 'midnight'],
      { axis: { kind: 'out', from: [0, -6], reach: 60 } },
    )
    return [
      mask,
      glitter('Dust on the wet mask', 'print', [], {
        on: mask.id,
        colour: glitterColour('Violet dust'),
        amount: 0.5,
      }),
      patch(
        'Scales, temples',
        'scales',
        { at: at('browTail', 8, 8), tilt: 70, side: 'A' },
        (x, y) =>
          x > at('outerEye', 7)[0] &&
          x < at('browTail', 13)[0] &&
          y > at('browTail', 0, -15)[1] &&
          y < at('outerEye', 0, 15)[1],
        [pass('midnight', 7)],
        { rule: 'midline', optional: true, worth: 3 },
      ),
      sheet('Moth on the brow', 'moth', mid('nasion', 0, -30), [pass('gull', 7)], { dry: true }),
      sheet('Eye marks', 'moth-eyes', mid('nasion', 0, -30), [pass('dusk', 7, { tool: 'dauber' })]),
      line(
        'line',
        [
          mid('nasion', 0, 14),
          at('innerEye', 1, 19),
          at('pupil', 2, 24),
          at('outerEye', 6, 19),
          at('browTail', 17, 0),
          at('browTail', 20, -12),
        ],
        ref('soot'),
        { label: 'Lower edge', brush: 'round3', params: { press: 62 } },
      ),
      line('swirl', [at('cheekbone', -4, 13), at('cheekbone', 3, 13), at('noseWing', 9, -4)], ref('soot'), {
        label: 'Swirl on the cheek',
        params: { turns: 1.3, press: 52, shrink: 24 },
      }),
      line('teardrop', [at('cheekbone', -10, 45), at('cheekbone', -17, 31)], ref('dusk'), {
        label: 'Drop',
        params: { press: 80 },
      }),
      line('teardrop', [at('cheekbone', -21, 44), at('cheekbone', -25, 32)], ref('lilac-pearl'), {
        label: 'Small drop',
        params: { press: 60 },
      }),
      line('line', [at('outerEye', 3, 13), at('outerEye', 13, 5), at('browTail', 14, -3)], ref('gull'), {
        label: 'Highlight',
        brush: 'round2',
        params: { press: 55 },
      }),
      dots(
        'row',
        [mid('noseTip', 0, -6), mid('noseTip', 0, -18), mid('nasion', 0, 4)],
        ref('gull'),
        'Dots down the nose',
        { count: 5, first: 3.8, last: 1.3 },
        'none',
      ),
      dots(
        'row',
        [at('pupil', -8, 27), at('pupil', 4, 31), at('cheekbone', -14, 7)],
        ref('gull'),
        'Dots along the swirl',
        { count: 6, first: 1.2, last: 3 },
      ),
      gemOf([mid('nasion', 0, -5)], 6, 'Violet'),
    ]
  },
)
