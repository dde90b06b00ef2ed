import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { glitterColour, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

/** A horse of the tales: horn and ears on the forehead, a mane of one cake over both brows, flowers between. */
export const taleHorse = look(
  {
    id: 'demo-tale-horse',
    name: 'Tale Horse',
    age: 6,
    skin: '#f3d6c2',
    hair: '#c9a66b',
    iris: '#7890a2',
    cut: 'braids',
    canvas: PLAIN_FACE,
    tags: ['menu', 'horse', 'small child'],
    budget: 420,
    notes: 'From the menu.',
  },
  ({ at, spot, sheet, clear, over, drawn, line, dots, glitter, gemOf, mid, id, ground }) => {
    const { rework, lights, half } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const dawn = drawn(
      'Dawn over the brows',
      [
        p(0, -8),
        at('browStart', 2, -4),
        at('browPeak', 0, 3),
        at('browTail', 4, 3),
        at('outerEye', 12, 2),
        at('browTail', 12, -14),
        over(8, 0.4),
        over(-10, 0.5),
        p(0, -30),
      ],
      ['ivory', 'thrift', 'lilac-pearl'],
      { axis: outFrom(p(0, -12), 58), dabs: 4 },
    )
    const horn = spot(
      'Horn',
      [p(-5.5, -22), p(-2.4, -38), p(0, -54), p(2.4, -38), p(5.5, -22), p(0, -19)],
      ['lantern', 'beacon'],
      { brush: 'round4', axis: outFrom(p(0, -52), 34), dabs: 5 },
    )
    const ear = line('leaf', [over(-20, 0.26), over(-22, 0.54), over(-13, 0.84)], ref('gull'), {
      label: 'Ears',
      load: { kind: 'double', light: ref('gull'), dark: ref('thrift') },
      params: { wide: 11, vein: 0 },
    })
    const lock = (
      label: string,
      foot: Point,
      bend: Point,
      tip: Point,
      light: string,
      dark: string,
      wide = 7,
    ) =>
      line('leaf', [foot, bend, tip], ref(light), {
        label,
        load: { kind: 'double', light: ref(light), dark: ref(dark) },
        params: { wide, vein: 0 },
      })
    const flower = (
      label: string,
      middle: Point,
      tip: Point,
      light: string,
      dark: string,
      rule: 'none' | 'features',
    ) =>
      line('flower', [middle, tip], ref(dark), {
        label,
        rule,
        load: { kind: 'double', light: ref(light), dark: ref(dark) },
        params: { count: 6, wide: 7, heart: 14 },
      })
    const locks = [
      lock('Violet lock', over(-16, 0.18), over(8, 0.52), at('temple', -3, -2), 'lilac-pearl', 'dusk'),
      lock('Blue lock', over(-16, 0.12), over(10, 0.34), at('temple', 2, 12), 'sky', 'lagoon'),
      lock('Pink lock', over(-14, 0.04), over(12, 0.12), at('outerEye', 17, -2), 'thrift', 'mulberry'),
    ]
    return [
      dawn,
      rework('Rim stippled out', 'blend', [dawn], { width: 6, reach: 2.4 }),
      clear({
        ...sheet(
          'Night sky at the temples, in two tones',
          'galaxy',
          at('temple', 0, 22),
          [
            pass('dusk', 5, {
              part: {
                by: 'zones',
                zones: ['left.temple', 'right.temple', 'left.cheekbone', 'right.cheekbone'],
                fades: 4,
              },
            }),
            pass('gull', 2, { part: { by: 'step', step: dawn.id, strips: null, fades: 3 } }),
          ],
          { rule: 'features', free: ['lids'] },
        ),
        tilt: 60,
      }),
      ear,
      ...locks,
      horn,
      line('stitches', [p(0, -49), p(0, -22)], ref('copper'), {
        label: 'Turns of the horn',
        rule: 'none',
        brush: 'round2',
        params: { count: 6, length: 9, lean: 25, press: 55 },
      }),
      line('line', [p(-5.8, -21), p(-2.8, -38), p(0, -55), p(2.8, -38), p(5.8, -21)], ref('plum'), {
        label: 'Outline of the horn',
        rule: 'none',
        brush: 'round2',
        params: { press: 50 },
      }),
      half('Jagged outline of the ears', ear, 'plum', { side: 60, share: 55, press: 55, jag: 30 }),
      ...locks.map(l =>
        half(`Edge of the ${l.label.toLowerCase()}`, l, 'plum', { side: -10, share: 44, press: 42, jag: 20 }),
      ),
      flower('Flower under the horn', p(0, -17), p(0, -25), 'gull', 'thrift', 'none'),
      flower('Flowers beside it', p(13, -17), p(13, -23.5), 'gull', 'lilac-pearl', 'features'),
      line('swirl', [at('cheekbone', -6, 14), at('cheekbone', -9, 14), at('outerEye', 8, 10)], ref('dusk'), {
        label: 'Swirl on the cheek',
        params: { press: 60, turns: 1.3 },
      }),
      line(
        'teardrop',
        [at('cheekbone', -16, 16), at('cheekbone', -12, 8), at('outerEye', 2, 12)],
        ref('lagoon'),
        {
          label: 'Drop beside the swirl',
          params: { press: 65 },
        },
      ),
      {
        ...sheet(
          'Stars',
          'star-set',
          at('cheekbone', -2, 22),
          [pass('dusk', 6, { openings: { use: 'chosen', numbers: [2, 3, 5] } })],
          { rule: 'features' },
        ),
        tilt: -10,
      },
      line('leaf', [p(17, -13), p(22, -12), p(26, -8)], ref('kelp'), {
        label: 'Leaves',
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide: 5, vein: 0 },
      }),
      line('leaf', [p(5, -9), p(6, -6), p(4, -1)], ref('kelp'), {
        label: 'Small leaves',
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide: 4, vein: 0 },
      }),
      lights('Light on the ears', ear, 'gull', { side: -60, share: 18, inset: 1 }),
      dots('row', [at('browPeak', 0, -4), at('browTail', 4, -3)], ref('gull'), 'Pearls over the brow', {
        count: 4,
        first: 2.8,
        last: 1.4,
      }),
      dots(
        'row',
        [p(0, -4), p(0, 10)],
        ref('thrift'),
        'Dots down the nose',
        { count: 3, first: 3, last: 1.2 },
        'none',
      ),
      dots('row', [over(-12, 0.84), over(-2, 0.7)], ref('lilac-pearl'), 'Dots beside the ears', {
        count: 3,
        first: 2.8,
        last: 1.2,
      }),
      glitter(
        'Dust on the mane',
        'outline',
        [over(-8, 0.5), over(10, 0.5), at('temple', 0, 6), over(8, 0.2)],
        {
          amount: 0.35,
          colour: glitterColour('Rose dust'),
          rule: 'features',
          optional: true,
        },
      ),
      gemOf([p(0, -17)], 4, 'Rose'),
    ]
  },
)
