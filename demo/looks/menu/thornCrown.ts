import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { look, outFrom, pass, ref, roundAbout } from '../kit'
import { sponging } from './sponge'

/** A crown of thorns and roses over smoked lids, lace under the eyes. */
export const thornCrown = look(
  {
    id: 'demo-thorn-crown',
    name: 'Thorn Crown',
    age: 24,
    skin: '#f3dccb',
    hair: '#8a6a4c',
    iris: '#6e7d55',
    cut: 'side parting',
    face: 4,
    canvas: PLAIN_FACE,
    tags: ['menu', 'crown'],
    budget: 540,
    notes: 'From the menu.',
  },
  ({ at, mid, over, drawn, sheet, line, dots, gemOf, lips, id, ground }) => {
    const { rework, lights, round } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const smoke = drawn(
      'Smoke about the eyes',
      [
        p(0, -4),
        at('browStart', 2, 2),
        at('browPeak', 0, 2),
        at('browTail', 9, -3),
        at('outerEye', 17, -3),
        at('outerEye', 6, 12),
        at('pupil', 0, 15),
        at('innerEye', 0, 11),
        p(3, 8),
      ],
      ['thrift', 'mulberry', 'plum'],
      { axis: outFrom(p(0, 2), 62), dabs: 4 },
    )
    const glow = drawn(
      'Blush behind the crown',
      [
        p(0, -24),
        at('browStart', 4, -14),
        over(4, 0.2),
        at('temple', -10, 2),
        over(12, 0.62),
        over(-10, 0.72),
        p(0, -52),
      ],
      ['shell-pearl', 'thrift'],
      { axis: outFrom(p(0, -34), 56), dabs: 2 },
    )
    const rose = (label: string, at: Point, r: number, rule: 'none' | 'features') =>
      line('petalFill', roundAbout(at, r), ref('rosehip'), {
        label,
        rule,
        load: { kind: 'double', light: ref('thrift'), dark: ref('rosehip') },
        params: { rows: 3, wide: r * 0.72, heart: 5, overlap: 40 },
      })
    const leaf = (label: string, foot: Point, bend: Point, tip: Point, wide = 7) =>
      line('leaf', [foot, bend, tip], ref('kelp'), {
        label,
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide, vein: 0.6 },
      })
    const twig = line(
      'line',
      [p(0, -30), over(-12, 0.4), over(10, 0.42), at('temple', -6, -6), at('temple', 0, 6)],
      ref('peat'),
      {
        label: 'Twig',
        brush: 'round4',
        params: { press: 75, even: 40 },
      },
    )
    const middle = rose('Rose in the middle', p(0, -35), 13, 'none')
    const beside = rose('Roses beside it', over(4, 0.46), 9, 'features')
    return [
      glow,
      rework('Blush stippled out', 'blend', [glow], { width: 9, reach: 3 }),
      smoke,
      rework('Smoke stippled out', 'blend', [smoke], { width: 6, reach: 2.4 }),
      line('line', [p(0, -38), over(-10, 0.62), over(8, 0.34), at('temple', -8, 4)], ref('soot'), {
        label: 'Second twig',
        brush: 'round3',
        params: { press: 60 },
      }),
      twig,
      line('teeth', [over(14, 0.4), at('temple', -8, -8), at('temple', -2, 2)], ref('soot'), {
        label: 'Thorns at the temple',
        params: { count: 4, height: 8, wide: 40, lean: 30, falling: 20 },
      }),
      leaf('Leaves in the middle', p(9, -42), p(16, -48), p(24, -48)),
      leaf('Leaves under the rose', p(8, -26), p(14, -22), p(22, -24), 6),
      leaf('Leaves beside the small roses', over(14, 0.42), over(22, 0.34), over(24, 0.12)),
      beside,
      middle,
      round('Outline of the rose', middle, 'plum', { press: 45, wobble: 0.4 }),
      round('Outline of the small roses', beside, 'plum', { press: 35, wobble: 0.3 }),
      lights('Light on the petals', middle, 'gull', { side: -40, share: 10, inset: 0.8, press: 30 }),
      sheet(
        'Lace under the eyes',
        'lace',
        at('outerEye', 0, 19),
        [
          pass('plum', 5, {
            runsOut: 0.35,
            axis: { kind: 'line', from: [...at('outerEye', 14, 12)], to: [...at('noseWing', 4, 2)] },
          }),
        ],
        { rule: 'features', tilt: -24, free: ['lids', 'nostrils'] },
      ),
      line(
        'line',
        [at('innerEye', 0, 12), at('pupil', 0, 16.5), at('outerEye', 7, 12), at('outerEye', 20, -3)],
        ref('plum'),
        {
          label: 'Lower edge',
          brush: 'round3',
          params: { press: 60 },
        },
      ),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('soot'), {
        label: 'Eyeline',
        eyes: 'shut',
        pressed: [0.4, 1.1, 1.4],
        params: { press: 80, wing: 13, rise: 28 },
      }),
      line('drops', [at('outerEye', -3, 40), at('pupil', 3, 37)], ref('rosehip'), {
        label: 'Drops from the lace',
        params: { count: 3, length: 8, wide: 3, lean: 0, falling: 30 },
      }),
      dots(
        'row',
        [p(0, -20), p(0, -5)],
        ref('rosehip'),
        'Dots between the brows',
        { count: 3, first: 3.6, last: 1.4 },
        'none',
      ),
      dots('row', [over(10, 0.14), at('browTail', 2, -7)], ref('gull'), 'Dew in threes', {
        count: 3,
        first: 2.8,
        last: 1.2,
      }),
      lips(['mulberry']),
      gemOf([p(0, -35)], 5, 'Ruby'),
    ]
  },
)
