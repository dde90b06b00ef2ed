import { PLAIN_FACE } from '../../../core/skin'
import { cake, look, pass, ref } from '../kit'
import { sponging } from './sponge'

/** A fox: its mask from one cake turned about the eyes, cheeks stippled out, a nose filled in. */
export const duskFox = look(
  {
    id: 'demo-dusk-fox',
    name: 'Dusk Fox',
    age: 8,
    skin: '#e8bd9c',
    hair: '#7a4a2a',
    cut: 'short crop',
    freckles: true,
    face: 4,
    canvas: PLAIN_FACE,
    tags: ['menu', 'fox'],
    budget: 420,
    notes: 'From the menu: one half-moon sponge, one cake.',
  },
  ({ at, mid, spot, sheet, line, dots, id, ground }) => {
    const { pull, rework, lights } = sponging(id, ground)
    const brows = pull(
      'Fox mask over the eyes',
      'turned',
      [at('pupil', 2, 2), at('pupil', -27, 2)],
      'bonfire',
      {
        sweep: 200,
        load: { kind: 'cake', cake: cake('bonfire'), strips: [0, 1, 2] },
        free: ['eyes'],
        soft: true,
      },
    )
    const cheeks = pull(
      'Cheeks, light toward the nose',
      'drawn',
      [at('noseWing', 7, -4), at('cheekbone', -8, 8), at('cheekbone', 6, -4)],
      'bonfire',
      { width: 26, dark: 'right', soft: true, ends: 0.5 },
    )
    const soft = rework('Edges stippled out', 'blend', [brows, cheeks], { width: 8, reach: 3 })
    const muzzle = spot(
      'White muzzle',
      [
        mid('noseTip', 0, 2),
        mid('noseTip', 13, 9),
        mid('mouth', 20, -3),
        mid('mouth', 13, -1),
        mid('mouth', 0, -3),
        mid('mouth', -13, -1),
        mid('mouth', -20, -3),
        mid('noseTip', -13, 9),
      ],
      ['gull'],
      { free: ['nostrils', 'lips'], dabs: 4, runsOut: 0.6 },
    )
    const nose = spot(
      'Nose',
      [
        mid('noseTip', -7, -3),
        mid('noseTip', 0, -6),
        mid('noseTip', 7, -3),
        mid('noseTip', 3, 5),
        mid('noseTip', -3, 5),
      ],
      ['soot'],
      { brush: 'round4', free: ['nostrils'] },
    )
    const tufts = line(
      'fur',
      [at('cheekbone', 4, 26), at('cheekbone', 12, 8), at('cheekbone', 13, -6)],
      ref('gull'),
      {
        label: 'Cheek tufts',
        params: { count: 13, length: 11, lean: 10, press: 60, uneven: 40 },
        fades: [1, 0.3],
      },
    )
    const spots = sheet('Flecks on the forehead', 'fans', mid('nasion', 0, -36), [
      pass('peat', 4, { part: { by: 'shape', loop: oval(mid('nasion', 0, -36), 24, 14), fades: 6 } }),
    ])
    return [
      brows,
      cheeks,
      soft,
      muzzle,
      { ...spots, tilt: 180 },
      nose,
      lights('Light on the nose', nose, 'gull', { side: -40, share: 14, inset: 1.2 }),
      tufts,
      line('eyeliner', [at('innerEye', 0, -1), at('pupil', 0, -8), at('outerEye', 3, -2)], ref('soot'), {
        label: 'Eyeline',
        params: { press: 60, wing: 9, rise: 30 },
        eyes: 'shut',
      }),
      dots('row', [mid('mouth', 10, -8), mid('mouth', 20, -11)], ref('soot'), 'Whisker dots', {
        count: 3,
        first: 1.8,
        last: 1.2,
        shrink: 0,
      }),
      line('whiskers', [mid('mouth', 13, -9), mid('mouth', 42, -16)], ref('soot'), {
        label: 'Whiskers',
        optional: true,
        worth: 4,
        params: { press: 20, count: 3, fan: 22, gap: 3, bow: 10 },
      }),
    ]
  },
)

/** Points round a place, for a drawn part. */
function oval([x, y]: readonly [number, number], rx: number, ry: number): [number, number][] {
  return Array.from({ length: 16 }, (_, i) => {
    const a = (i * Math.PI) / 8
    return [Math.round(10 * (x + rx * Math.cos(a))) / 10, Math.round(10 * (y + ry * Math.sin(a))) / 10]
  })
}

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
