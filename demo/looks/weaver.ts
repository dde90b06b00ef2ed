import type { Point } from '../../core/geometry'
import { PLAIN_FACE } from '../../core/skin'
import { glitterColour, look, outFrom, pass, ref } from './kit'
import { sponging } from './menu/sponge'

/** The same place on the other side. */
const mirrored = ([x, y]: Point): Point => [-x, y]

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
  ({ at, mid, over, drawn, spot, sheet, clear, line, dots, gemOf, glitter, lips, id, ground }) => {
    const { rework, half } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const one = { rule: 'none' as const }
    const dusk = drawn(
      'Dusk round the eyes',
      [
        p(0, -10),
        at('browStart', 3, -8),
        over(-4, 0.2),
        at('browTail', 4, -12),
        at('outerEye', 19, -2),
        at('outerEye', 12, 10),
        at('outerEye', 0, 18),
        at('pupil', 0, 18),
        at('innerEye', -1, 12),
        p(3, 6),
      ],
      ['thrift', 'mulberry', 'plum'],
      { axis: outFrom([0, 0], 60), dabs: 4 },
    )
    const night = spot(
      'Night under the web',
      [
        p(-4, -22),
        over(-10, 0.16),
        at('browTail', 0, -12),
        at('temple', -2, 14),
        at('temple', -8, -6),
        over(4, 0.9),
        over(-16, 0.86),
        p(2, -42),
      ],
      ['mulberry', 'plum', 'soot'],
      { axis: outFrom(p(0, -20), 72), stops: [0, 0.4, 1], dabs: 4 },
    )
    const corner: Point = over(20, 0.62)
    const web = line('web', [corner, p(-2, -20), at('temple', -4, 22)], ref('gull'), {
      label: 'Web from the temple',
      ...one,
      params: { rays: 7, rings: 6, sag: 30, press: 80 },
    })
    const petals = line(
      'petals',
      [at('outerEye', 12, 12), at('outerEye', 2, 20), at('pupil', 0, 21)],
      ref('lilac-pearl'),
      {
        label: 'Strokes under the eyes',
        load: { kind: 'double', light: ref('oyster'), dark: ref('dusk') },
        params: { count: 4, length: 13, wide: 6.5, lean: 10 },
      },
    )
    return [
      dusk,
      night,
      rework('Dusk stippled out', 'blend', [dusk, night], { width: 8, reach: 3 }),
      clear({
        ...sheet(
          'Halftone at the temples, in two tones',
          'halftone',
          at('outerEye', 14, -6),
          [
            pass('plum', 5, {
              part: {
                by: 'zones',
                zones: ['left.temple', 'right.temple', 'left.cheekbone', 'right.cheekbone'],
                fades: 5,
              },
            }),
            pass('lilac-pearl', 2, { part: { by: 'step', step: dusk.id, strips: null, fades: 4 } }),
          ],
          { rule: 'features', free: ['lids'] },
        ),
        tilt: -84,
      }),
      web,
      petals,
      half('Jagged outline of the strokes', petals, 'soot', { side: 150, share: 44, press: 50 }),
      line('eyeliner', [at('innerEye', -2, 0.5), at('pupil', 0, -7.5), at('outerEye', 2, -1)], ref('soot'), {
        label: 'Eyeliner',
        eyes: 'shut',
        params: { press: 95, wing: 14, rise: 30 },
      }),
      line('lashes', [at('outerEye', 3, 6), at('pupil', 0, 8.5)], ref('soot'), {
        label: 'Painted lashes below',
        brush: 'round2',
        optional: true,
        params: { count: 4, length: 8, lean: 10, press: 60 },
      }),
      line(
        'line',
        [p(3, 9), at('pupil', -4, 19), at('outerEye', 5, 18), at('browTail', 16, 0), at('browTail', 19, -14)],
        ref('soot'),
        { label: 'Lower edge', brush: 'round3', params: { press: 65 } },
      ),
      line('line', [at('outerEye', -4, 34), at('outerEye', -3, 42), at('outerEye', -4, 50)], ref('soot'), {
        label: 'Thread',
        ...one,
        brush: 'round1',
        params: { press: 60, even: 80 },
      }),
      dots(
        'row',
        [at('outerEye', -4, 52), at('outerEye', -4, 58.5)],
        ref('soot'),
        'Spider',
        { count: 2, first: 7.5, last: 4.5 },
        'none',
      ),
      line('whiskers', [at('outerEye', -2, 53), at('outerEye', 8, 52)], ref('soot'), {
        label: 'Its legs, right',
        ...one,
        brush: 'round1',
        params: { count: 4, fan: 70, gap: 1.2, bow: 4, press: 90 },
      }),
      line('whiskers', [at('outerEye', -6, 53), at('outerEye', -16, 52)], ref('soot'), {
        label: 'Its legs, left',
        ...one,
        brush: 'round1',
        params: { count: 4, fan: 70, gap: 1.2, bow: -4, press: 90 },
      }),
      dots(
        'row',
        [at('outerEye', -5, 51), at('outerEye', -5, 53)],
        ref('gull'),
        'Light on the spider',
        { count: 1, first: 1.6, last: 1.6 },
        'none',
      ),
      line('swirl', [mirrored(over(-2, 0.5)), mirrored(over(-2, 0.62)), p(-4, -20)], ref('plum'), {
        label: 'Swirl on the bare side',
        ...one,
        brush: 'round3',
        params: { press: 70, turns: 1.4 },
      }),
      line(
        'sCurve',
        [mirrored(over(14, 0.38)), mirrored(over(4, 0.22)), mirrored(over(-12, 0.18))],
        ref('mulberry'),
        {
          label: 'Second swirl',
          ...one,
          params: { press: 60 },
        },
      ),
      line(
        'teardrop',
        [mirrored(over(10, 0.62)), mirrored(over(6, 0.52)), mirrored(over(6, 0.4))],
        ref('plum'),
        {
          label: 'Drop beside it',
          ...one,
          params: { press: 60 },
        },
      ),
      dots(
        'row',
        [over(10, 0.34), over(-4, 0.36), p(6, -28)],
        ref('gull'),
        'Dew on the threads',
        { count: 6, first: 3.6, last: 1.4 },
        'none',
      ),
      dots(
        'row',
        [over(4, 0.74), over(-14, 0.56)],
        ref('oyster'),
        'More dew',
        { count: 4, first: 3, last: 1.2 },
        'none',
      ),
      dots(
        'row',
        [mirrored(over(16, 0.2)), mirrored(over(4, 0.06))],
        ref('mulberry'),
        'Dots in threes',
        { count: 3, first: 3.6, last: 1.4 },
        'none',
      ),
      dots('row', [at('cheekbone', -12, 20), at('noseWing', 10, 4)], ref('mulberry'), 'Dots on the cheek', {
        count: 3,
        first: 3.4,
        last: 1.4,
      }),
      lips(['plum']),
      glitter('Dew where it stayed empty', 'patch', [over(6, 0.5), over(-8, 0.6)], {
        sort: 'fine',
        colour: glitterColour('Frost'),
        amount: 0.35,
        rule: 'none',
      }),
      gemOf([p(0, -9)], 5, 'Rose', { cut: 'drop', heading: 180 }),
      gemOf([at('outerEye', 17, 16)], 4, 'Violet', {}, 'features'),
    ]
  },
)
