import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { cake, glitterColour, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

/** Wings about the eyes from one cake: stroke by stroke, dark edge outward, and lined. */
export const heatherWing = look(
  {
    id: 'demo-heather-wing',
    name: 'Heather Wing',
    age: 10,
    skin: '#f0d2bd',
    hair: '#54331f',
    iris: '#8a7a4a',
    cut: 'band',
    canvas: PLAIN_FACE,
    tags: ['menu', 'wings'],
    budget: 420,
    notes: 'From the menu: petals from one cake.',
  },
  ({ at, over, mid, drawn, sheet, clear, line, dots, glitter, gemOf, id, ground }) => {
    const { rework, lights, onEach, round } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const bloom = drawn(
      'Bloom under the wings',
      [
        p(0, -12),
        at('browStart', 4, -10),
        over(2, 0.36),
        at('browTail', 8, -14),
        at('outerEye', 18, 2),
        at('outerEye', 8, 20),
        at('pupil', 2, 26),
        at('innerEye', 2, 14),
        p(4, 9),
      ],
      ['shell-pearl', 'thrift', 'mulberry'],
      { axis: outFrom(p(0, 0), 70), stops: [0, 0.5, 1] },
    )
    const flat = { load: { kind: 'cake' as const, cake: cake('heather-moor') }, dark: 'right' as const }
    const upper = line(
      'petals',
      [at('browStart', 7, -6), over(-2, 0.06), over(10, 0), at('outerEye', 9, -4)],
      ref('thrift'),
      {
        label: 'Upper wing, flat strokes',
        brush: 'flat19',
        ...flat,
        params: { count: 4, length: 25, wide: 18, lean: -20 },
      },
    )
    const lower = line(
      'petals',
      [at('outerEye', 12, 3), at('outerEye', 3, 14), at('pupil', -2, 18)],
      ref('thrift'),
      {
        label: 'Lower wing, flat strokes',
        brush: 'flat13',
        ...flat,
        params: { count: 4, length: 19, wide: 14, lean: 0 },
      },
    )
    const bud = line('petals', [p(-9, -25), p(0, -27), p(9, -25)], ref('oyster'), {
      label: 'Bud on the forehead',
      rule: 'none',
      load: { kind: 'double', light: ref('gull'), dark: ref('thrift') },
      params: { count: 5, length: 15, wide: 6.5, lean: 0 },
    })
    return [
      bloom,
      rework('Rim stippled out', 'blend', [bloom], { width: 7, reach: 2.6 }),
      clear({
        ...sheet(
          'Halftone, in two tones',
          'halftone',
          at('outerEye', 7, 5),
          [
            pass('mulberry', 5, { part: { by: 'step', step: bloom.id, strips: null, fades: 5 } }),
            pass('gull', 2, { part: { by: 'zones', zones: ['left.temple', 'right.temple'], fades: 4 } }),
          ],
          { rule: 'features', free: ['lids'] },
        ),
        tilt: 90,
      }),
      upper,
      lower,
      round('Outline of the upper wing', upper, 'plum', { press: 75, distance: 0.2 }),
      round('Outline of the lower wing', lower, 'plum', { press: 65, distance: 0.2 }),
      line('sCurve', [p(3, -10), p(10, -15), p(16, -34)], ref('plum'), {
        label: 'Feelers',
        brush: 'round2',
        params: { press: 70 },
      }),
      bud,
      lights('Light on each petal of the bud', bud, 'gull', { side: -20, share: 20, inset: 0.8 }),
      onEach('A pearl where each begins', 'ends', bud, 'lantern', { first: 2, ends: 0 }),
      line('teardrop', [at('innerEye', -6, 4), at('innerEye', -1, 11), at('innerEye', 8, 19)], ref('plum'), {
        label: 'Drop beside the nose',
        params: { press: 70 },
      }),
      line('teardrop', [p(0, -4), p(0, -18)], ref('plum'), {
        label: 'Body',
        rule: 'none',
        params: { press: 100 },
      }),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('plum'), {
        label: 'Eyeline',
        eyes: 'shut',
        params: { press: 75, wing: 9, rise: 25 },
      }),
      dots('row', [at('pupil', 4, 44), at('noseWing', 10, 14)], ref('mulberry'), 'Dots in threes below', {
        count: 3,
        first: 3.6,
        last: 1.4,
      }),
      dots(
        'row',
        [over(-6, 0.5), over(14, 0.42), at('browTail', 14, -14)],
        ref('gull'),
        'Pearls on the wing',
        {
          count: 4,
          first: 3.4,
          last: 2,
        },
      ),
      glitter('Gel along the wings', 'rim', [], {
        on: upper.id,
        over: [lower.id],
        sort: 'gel',
        width: 2.4,
        amount: 0.5,
        colour: glitterColour('Violet dust'),
        optional: true,
        worth: 6,
      }),
      gemOf([p(0, -20)], 5, 'Ruby'),
    ]
  },
)
