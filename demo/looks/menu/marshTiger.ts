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
  ({ at, mid, zones, spot, sheet, line, dots, id, ground }) => {
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
    const forehead = sheet('Stripes, forehead', 'stripes', mid('nasion', 0, -34), [
      pass('soot', 6, { part: { by: 'zones', zones: ['forehead'], fades: 3 } }),
    ])
    const cheeks = sheet(
      'Stripes, cheeks',
      'stripes',
      at('cheekbone', -4, 6),
      [
        pass('soot', 6, {
          carries: true,
          part: { by: 'zones', zones: ['left.cheek', 'right.cheek'], fades: 4 },
        }),
      ],
      { rule: 'features', tilt: 72, free: ['lids', 'lips'] },
    )
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
      { ...forehead, tilt: 0 },
      cheeks,
      nose,
      lights('Light on the nose', nose, 'gull', { side: -30, share: 16, inset: 1.4 }),
      line('corners', [mid('noseTip', 0, 6), mid('mouth', 0, -3)], ref('soot'), {
        label: 'Line under the nose',
        rule: 'none',
        params: { press: 40 },
      }),
      dots('cluster', [mid('mouth', 15, -8), mid('mouth', 15, -13)], ref('soot'), 'Whisker dots', {
        count: 6,
        first: 1.8,
        last: 1.2,
      }),
      line('whiskers', [mid('mouth', 15, -8), mid('mouth', 46, -14)], ref('gull'), {
        label: 'Whiskers',
        optional: true,
        worth: 6,
        params: { press: 30, count: 4, fan: 26, gap: 3, bow: 12 },
      }),
    ]
  },
)
