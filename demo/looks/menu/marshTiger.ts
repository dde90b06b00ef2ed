import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { look, pass, ref } from '../kit'
import { sponging } from './sponge'

/** A tiger of the marsh: light in the middle and dark along its own edge, stripes that leave lids and lips. */
export const marshTiger = look(
  {
    id: 'demo-marsh-tiger',
    name: 'Marsh Tiger',
    age: 9,
    skin: '#c98f6b',
    hair: '#1f1713',
    cut: 'short crop',
    face: 6,
    canvas: PLAIN_FACE,
    tags: ['menu', 'tiger'],
    budget: 480,
    notes: 'From the menu. Stripes by one stencil, without reloading from the forehead to the cheeks.',
  },
  ({ at, mid, zones, spot, sheet, clear, line, dots, id, ground }) => {
    const { lights, rework } = sponging(id, ground)
    const muzzle = spot(
      'White muzzle',
      [
        mid('noseTip', 0, 4),
        mid('noseTip', 14, 8),
        mid('mouth', 22, -6),
        mid('mouth', 20, 6),
        mid('mouth', 0, 16),
        mid('mouth', -20, 6),
        mid('mouth', -22, -6),
        mid('noseTip', -14, 8),
      ],
      ['gull'],
      { dabs: 4, free: ['nostrils', 'lips'] },
    )
    const base = zones('Ember to the rim', ['face'], ['beacon', 'ember', 'rust'], {
      axis: { kind: 'edge', depth: 34 },
      stops: [0, 0.55, 1],
      free: ['lips'],
      holes: [muzzle.points],
      dabs: 3,
    })
    const soft = rework('Muzzle blended in', 'blend', [muzzle], { width: 7, reach: 2.5, free: ['lips'] })
    const stripes = clear(
      sheet('Stripes of forehead and cheeks', 'reed-tiger', mid('nasion', 0, 2), [pass('soot', 7)], {
        free: ['lids', 'lips'],
      }),
    )
    const white = (label: string, points: Point[], wide: number) =>
      line('leaf', points, ref('gull'), { label, brush: 'filbert8', params: { wide, vein: 0 } })
    const dark = (label: string, points: Point[], press: number, brush: 'round2' | 'round3' = 'round3') =>
      line('line', points, ref('soot'), { label, brush, params: { press } })
    const nose = spot(
      'Nose',
      [
        mid('noseTip', -9, -4),
        mid('noseTip', 0, -7),
        mid('noseTip', 9, -4),
        mid('noseTip', 4, 5),
        mid('noseTip', -4, 5),
      ],
      ['thrift', 'rosehip'],
      { brush: 'round4', free: ['nostrils'] },
    )
    return [
      muzzle,
      base,
      soft,
      stripes,
      dark(
        'Line from the eye down the nose',
        [at('innerEye', 1, 1), at('innerEye', -2, 14), at('noseWing', -3, -7)],
        62,
      ),
      line('eyeliner', [at('innerEye', -2, 1), at('pupil', 0, -8), at('outerEye', 3, -2)], ref('soot'), {
        label: 'Eyeline',
        eyes: 'shut',
        params: { press: 90, wing: 11, rise: 30 },
      }),
      line('fur', [at('cheekbone', 7, 4), at('cheekbone', 3, 26), at('mouthCorner', 22, 14)], ref('gull'), {
        label: 'White fur of the cheeks',
        params: { count: 13, length: 12, lean: 15, press: 70, uneven: 50 },
        fades: [1, 0.4],
      }),
      line('fur', [mid('chin', 12, -9), mid('chin', 0, -6), mid('chin', -12, -9)], ref('gull'), {
        label: 'Tuft on the chin',
        rule: 'none',
        params: { count: 8, length: 9, lean: 0, press: 65, uneven: 40 },
      }),
      nose,
      lights('Light on the nose', nose, 'gull', { side: -30, share: 16, inset: 1.4 }),
      line('corners', [mid('noseTip', 0, 6), mid('mouth', 0, -3)], ref('plum'), {
        label: 'Line under the nose',
        rule: 'none',
        params: { press: 60 },
      }),
      line('line', [mid('mouth', 0, -4), mid('mouth', 12, -3), mid('mouth', 24, -7)], ref('plum'), {
        label: 'Line of the mouth',
        brush: 'round2',
        params: { press: 45 },
      }),
      white(
        'White over the eyes',
        [at('innerEye', 4, -13), at('browPeak', 2, -7), at('browTail', 7, -8)],
        11,
      ),
      white('White under the eyes', [at('innerEye', 3, 12), at('pupil', 2, 19), at('outerEye', 12, 11)], 8),
      dots(
        'row',
        [mid('nasion', 0, -30), mid('nasion', 0, -14)],
        ref('gull'),
        'Dots in threes',
        { count: 3, first: 3.4, last: 1.4 },
        'none',
      ),
      dots('cluster', [mid('mouth', 17, -13), mid('mouth', 17, -17)], ref('plum'), 'Whisker dots', {
        count: 6,
        first: 1.8,
        last: 1.2,
      }),
      line('whiskers', [mid('mouth', 19, -15), mid('mouth', 48, -20)], ref('gull'), {
        label: 'Whiskers',
        optional: true,
        worth: 6,
        params: { press: 30, count: 4, fan: 20, gap: 3, bow: 8 },
      }),
    ]
  },
)
