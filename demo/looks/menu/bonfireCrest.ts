import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { glitterColour, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

/** A crest of fire over the brows, tongue by tongue, and sparks of scales down both temples. */
export const bonfireCrest = look(
  {
    id: 'demo-bonfire-crest',
    name: 'Bonfire Crest',
    age: 11,
    skin: '#b07a52',
    hair: '#1c1512',
    cut: 'short crop',
    face: 3,
    canvas: PLAIN_FACE,
    tags: ['menu', 'fire'],
    budget: 480,
    notes: 'From the menu.',
  },
  ({ at, mid, over, drawn, sheet, clear, line, dots, glitter, gemOf, id, ground }) => {
    const { rework, half } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const glow = drawn(
      'Glow about the eyes',
      [
        p(0, -30),
        over(-8, 0.42),
        over(12, 0.4),
        at('browTail', 9, -8),
        at('outerEye', 16, 4),
        at('outerEye', 6, 17),
        at('pupil', -2, 19),
        at('innerEye', 0, 13),
        p(4, 10),
      ],
      ['beacon', 'ember', 'rust'],
      { axis: outFrom(p(0, -2), 62), dabs: 4 },
    )
    /** One tongue of fire: yellow on its inner side, red on its outer one. */
    const tongue = (label: string, foot: Point, bend: Point, tip: Point, wide: number, hot = true) =>
      line('leaf', [foot, bend, tip], ref('beacon'), {
        label,
        load: {
          kind: 'double',
          light: ref(hot ? 'beacon' : 'ember'),
          dark: ref(hot ? 'ember' : 'rosehip'),
        },
        dark: 'right',
        rule: foot[0] === 0 ? 'none' : 'features',
        params: { wide, vein: 0 },
      })
    const outer = [
      tongue('Tall red tongue', p(7, -20), p(21, -34), p(13, -54), 10, false),
      tongue('Second red tongue', p(24, -22), p(38, -34), p(32, -51), 10, false),
      tongue('Red tongue at the temple', p(41, -18), p(53, -25), p(52, -43), 9, false),
    ]
    const inner = [
      tongue('Bright tongue', p(12, -17), p(24, -25), p(21, -41), 8),
      tongue('Second bright tongue', p(31, -19), p(42, -25), p(41, -39), 8),
      tongue('Tongue over the tail of the brow', p(46, -11), p(57, -15), p(59, -29), 7),
    ]
    const middle = tongue('Tongue on the midline', p(0, -14), p(4, -30), p(0, -50), 12)
    const scales = clear({
      ...sheet(
        'Scales, temples',
        'spindrift',
        at('cheekbone', 4, -6),
        [
          pass('rust', 5, {
            part: {
              by: 'zones',
              zones: ['left.cheekbone', 'right.cheekbone', 'left.temple', 'right.temple'],
              fades: 5,
            },
          }),
          pass('beacon', 2, {
            part: { by: 'zones', zones: ['left.cheekbone', 'right.cheekbone'], fades: 6 },
          }),
        ],
        { rule: 'features', free: ['lids'] },
      ),
      tilt: 62,
    })
    return [
      glow,
      rework('Rim stippled out', 'blend', [glow], { width: 8, reach: 3 }),
      scales,
      ...outer,
      ...inner,
      middle,
      ...outer.map(step => half('Jagged outline', step, 'soot', { side: 90, share: 40, press: 55, jag: 50 })),
      half('Outline of the midline tongue', middle, 'soot', { side: 100, share: 40, press: 55 }),
      line('line', [p(-1.4, -20), p(-0.6, -28), p(-1, -38)], ref('gull'), {
        label: 'Light in the middle tongue',
        rule: 'none',
        brush: 'round2',
        params: { press: 60 },
      }),
      line('line', [p(10, -24), p(14, -34), p(12.5, -46)], ref('beacon'), {
        label: 'Light in the tall tongues',
        brush: 'round2',
        params: { press: 50 },
      }),
      line(
        'line',
        [p(4, 11), at('innerEye', 1, 14), at('pupil', 0, 20), at('outerEye', 6, 16), at('outerEye', 19, -2)],
        ref('soot'),
        { label: 'Lower edge', brush: 'round3', params: { press: 62 } },
      ),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('soot'), {
        label: 'Eyeline',
        eyes: 'shut',
        params: { press: 70, wing: 10, rise: 30 },
      }),
      line('teardrop', [at('outerEye', 7, 33), at('outerEye', 5, 24), at('outerEye', 8, 17)], ref('ember'), {
        label: 'Flame under the eye',
        params: { press: 95 },
      }),
      line(
        'teardrop',
        [at('outerEye', -3, 30), at('outerEye', -4, 25), at('outerEye', -1, 20)],
        ref('beacon'),
        {
          label: 'Small flame under the eye',
          params: { press: 75 },
        },
      ),
      dots('row', [at('outerEye', -12, 24), at('pupil', -4, 26)], ref('beacon'), 'Sparks in threes', {
        count: 3,
        first: 3.4,
        last: 1.4,
      }),
      dots(
        'row',
        [p(0, -8), p(0, 2), mid('noseTip', 0, -12)],
        ref('beacon'),
        'Sparks down the nose',
        {
          count: 5,
          first: 3.4,
          last: 1.2,
        },
        'none',
      ),
      glitter('Embers in what stayed empty', 'outline', [p(-20, -46), p(0, -54), p(20, -46), p(0, -40)], {
        amount: 0.35,
        colour: glitterColour('Ember dust'),
        optional: true,
      }),
      gemOf([p(0, -13)], 6, 'Amber'),
    ]
  },
)
