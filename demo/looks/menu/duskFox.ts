import type { Point } from '../../../core/geometry'
import { PLAIN_FACE, type ZoneId } from '../../../core/skin'
import { alongLine, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

/** Where the coat lies over fur of its own. */
const TEMPLES: ZoneId[] = ['left.temple', 'right.temple']

/** A fox: ears on the forehead, white cheeks with jagged fur, a mask from one half-moon sponge. */
export const duskFox = look(
  {
    id: 'demo-dusk-fox',
    name: 'Dusk Fox',
    age: 8,
    skin: '#e8bd9c',
    hair: '#7a4a2a',
    iris: '#8a7a4a',
    cut: 'short crop',
    freckles: true,
    face: 4,
    canvas: PLAIN_FACE,
    tags: ['menu', 'fox'],
    budget: 480,
    notes: 'From the menu.',
  },
  ({ at, mid, over, drawn, spot, sheet, clear, line, dots, twin, id, ground }) => {
    const { rework, lights } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const white = drawn(
      'White cheeks and muzzle',
      [
        mid('noseTip', 0, 3),
        mid('noseTip', 9, 1),
        at('noseWing', 4, -12),
        at('pupil', 0, 19),
        at('outerEye', 6, 15),
        at('cheekbone', 8, -10),
        at('cheekbone', 9, 8),
        at('cheekbone', -2, 24),
        at('mouthCorner', 17, 2),
        at('mouthCorner', 7, 2),
        mid('mouth', 14, -3),
        mid('mouth', 0, -5),
      ],
      ['gull', 'ivory'],
      { axis: outFrom(mid('noseTip', 0, 6), 62), dabs: 4, free: ['eyes', 'nostrils', 'lips'] },
    )
    const coat = drawn(
      'Coat',
      [
        p(0, -40),
        over(-14, 0.62),
        over(4, 0.4),
        at('browTail', 4, -10),
        at('earFront', -5, -12),
        at('outerEye', 13, 6),
        at('outerEye', 2, 14),
        at('pupil', 0, 18),
        at('innerEye', 3, 15),
        at('noseWing', -2, -12),
        mid('noseTip', 7, -3),
        mid('noseTip', 0, -2),
      ],
      ['beacon', 'ember', 'rust'],
      { axis: outFrom(p(0, 4), 60), dabs: 4 },
    )
    const ear = spot(
      'Ears',
      [over(-13, 0.3), over(-11, 0.52), over(-1, 0.8), over(8, 0.5), over(10, 0.26), over(-2, 0.2)],
      ['ember', 'rust'],
      { brush: 'filbert8', axis: alongLine(over(-2, 0.25), over(-2, 0.8)), dabs: 5, twin: twin('midline') },
    )
    const nose = spot(
      'Nose',
      [
        mid('noseTip', -8, -4),
        mid('noseTip', 0, -7),
        mid('noseTip', 8, -4),
        mid('noseTip', 4, 5),
        mid('noseTip', -4, 5),
      ],
      ['soot'],
      { brush: 'round4', free: ['nostrils'], dabs: 5 },
    )
    const spark = (
      label: string,
      points: Point[],
      paint: string,
      press = 70,
      brush: 'round2' | 'round3' = 'round3',
    ) => line('line', points, ref(paint), { label, brush, params: { press } })
    return [
      white,
      coat,
      ear,
      rework('Coat and white stippled into one another', 'blend', [coat, white], { width: 4, reach: 1.6 }),
      clear({
        ...sheet(
          'Fur over the temples, in two tones',
          'spindrift',
          at('temple', -2, 18),
          [
            pass('rust', 5, { part: { by: 'zones', zones: TEMPLES, fades: 3 } }),
            pass('beacon', 2, { part: { by: 'zones', zones: TEMPLES, fades: 8 } }),
          ],
          { rule: 'features', free: ['lids'] },
        ),
        tilt: 64,
      }),
      line('leaf', [over(-2, 0.3), over(-4, 0.44), over(-1, 0.66)], ref('ivory'), {
        label: 'Inside of the ears',
        params: { wide: 9, vein: 0 },
      }),
      spark('Ear, inner edge', [over(-14, 0.24), over(-12, 0.54), over(-1, 0.84)], 'soot', 70),
      spark('Ear, outer edge', [over(-1, 0.84), over(9, 0.54), over(12, 0.22)], 'soot', 55),
      line('fur', [over(-8, 0.42), over(-3, 0.36), over(3, 0.42)], ref('peat'), {
        label: 'Hair in the ears',
        params: { count: 5, length: 8, lean: 0, press: 45, uneven: 40 },
      }),
      line('leaf', [at('innerEye', 2, -11), at('browPeak', -4, -5), at('browTail', 4, -8)], ref('gull'), {
        label: 'White over the eyes',
        params: { wide: 9, vein: 0 },
      }),
      line(
        'fur',
        [at('pupil', -6, 22), at('outerEye', -2, 20), at('outerEye', 10, 14), at('cheekbone', 10, -14)],
        ref('gull'),
        {
          label: 'White fur into the coat',
          params: { count: 14, length: 8, lean: 15, press: 60, uneven: 50 },
          fades: [1, 0.3],
        },
      ),
      line(
        'fur',
        [at('cheekbone', 9, -4), at('cheekbone', 8, 9), at('cheekbone', -2, 24), at('mouthCorner', 17, 2)],
        ref('gull'),
        { label: 'Cheek tufts', params: { count: 16, length: 11, lean: 20, press: 70, uneven: 40 } },
      ),
      line('fur', [at('cheekbone', 7, 6), at('cheekbone', -2, 20), at('mouthCorner', 18, 0)], ref('rust'), {
        label: 'Dark hairs in the tufts',
        params: { count: 7, length: 9, lean: 20, press: 45, uneven: 60 },
      }),
      line('fur', [p(8, -38), p(0, -34), p(-8, -38)], ref('rust'), {
        label: 'Tuft on the forehead',
        rule: 'none',
        params: { count: 9, length: 10, lean: 0, press: 65, uneven: 40 },
      }),
      spark(
        'Line from the eye down the nose',
        [at('innerEye', 1, 1), at('innerEye', -3, 14), at('noseWing', -4, -6)],
        'soot',
        60,
      ),
      line('eyeliner', [at('innerEye', 0, -1), at('pupil', 0, -8), at('outerEye', 3, -2)], ref('soot'), {
        label: 'Eyeline',
        params: { press: 80, wing: 11, rise: 32 },
        eyes: 'shut',
      }),
      nose,
      lights('Light on the nose', nose, 'gull', { side: -40, share: 14, inset: 1.2 }),
      line('corners', [mid('noseTip', 0, 5), mid('mouth', 0, -5)], ref('soot'), {
        label: 'Line under the nose',
        rule: 'none',
        params: { press: 50 },
      }),
      dots('row', [mid('mouth', 10, -9), mid('mouth', 20, -12)], ref('soot'), 'Whisker dots in threes', {
        count: 3,
        first: 2.2,
        last: 1.2,
      }),
      line('whiskers', [mid('mouth', 14, -10), mid('mouth', 45, -18)], ref('soot'), {
        label: 'Whiskers',
        optional: true,
        worth: 4,
        params: { press: 40, count: 3, fan: 22, gap: 3, bow: 10 },
      }),
      dots(
        'row',
        [p(0, -26), p(0, -8)],
        ref('gull'),
        'Dots between the brows',
        { count: 3, first: 3, last: 1.4 },
        'none',
      ),
    ]
  },
)
