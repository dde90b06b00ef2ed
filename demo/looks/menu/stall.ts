import type { Point } from '../../../core/geometry'
import { PLAIN_FACE, type ArmCanvas } from '../../../core/skin'
import { glitterColour, look, pass, ref } from '../kit'
import { sponging } from './sponge'

/** Axes of bases: out from a point, and along a line. */
const out = ([x, y]: Point, reach: number) => ({
  kind: 'out' as const,
  from: [x, y] as [number, number],
  reach,
})
const along = ([ax, ay]: Point, [bx, by]: Point) => ({
  kind: 'line' as const,
  from: [ax, ay] as [number, number],
  to: [bx, by] as [number, number],
})

const FOREARM: ArmCanvas = { kind: 'arm', part: 'forearm', side: 'left', measures: null }

/** For the smallest who may be painted on the face: a lizard of the fen on one cheek. */
export const fenLizard = look(
  {
    id: 'demo-fen-lizard',
    name: 'Fen Lizard',
    age: 4,
    skin: '#d9a98a',
    hair: '#6d4a2c',
    cut: 'short crop',
    canvas: PLAIN_FACE,
    tags: ['menu', 'lizard', 'quick', 'small child'],
    budget: 180,
    notes: 'From the menu. One cheek only: quick.',
  },
  ({ at, spot, sheet, dots, line }) => {
    const c = (dx: number, dy: number): Point => at('cheekbone', dx - 12, dy + 15)
    const fen = spot(
      'Fen on the cheek',
      [c(-20, 4), c(-8, -13), c(10, -14), c(20, 0), c(10, 15), c(-8, 15)],
      ['beacon', 'fern'],
      { axis: out(c(0, 0), 24) },
    )
    return [
      fen,
      { ...sheet('The lizard', 'old-lizard', c(0, 0), [pass('kelp', 6)]), tilt: -6 },
      dots(
        'row',
        [c(-18, 15), c(16, 17)],
        ref('gull'),
        'Dots in threes',
        { count: 6, first: 2.6, last: 1.2 },
        'none',
      ),
      line('leaf', [c(-17, 12), c(-21, 21)], ref('kelp'), { label: 'Blade of sedge', rule: 'none' }),
    ]
  },
)

/** A horse of the tales over a dawn, on one cheek, with stars up to the temple. */
export const taleHorse = look(
  {
    id: 'demo-tale-horse',
    name: 'Tale Horse',
    age: 6,
    skin: '#f3d6c2',
    hair: '#c9a66b',
    cut: 'braids',
    canvas: PLAIN_FACE,
    tags: ['menu', 'horse', 'small child'],
    budget: 240,
    notes: 'From the menu.',
  },
  ({ at, spot, sheet, clear, dots, glitter, gemOf, mid }) => {
    const c = (dx: number, dy: number): Point => at('cheekbone', dx - 11, dy + 16)
    const dawn = spot(
      'Dawn on the cheek',
      [c(-22, 2), c(-10, -17), c(10, -20), c(21, -4), c(14, 15), c(-6, 19)],
      ['ivory', 'thrift', 'lilac-pearl'],
      { axis: out(c(0, 0), 27), dabs: 4 },
    )
    return [
      dawn,
      clear({ ...sheet('The horse', 'horned-horse', c(2, 2), [pass('dusk', 6)]), tilt: 8 }),
      { ...sheet('Stars', 'star-set', at('temple', -9, 10), [pass('gull', 6)]), tilt: 20 },
      dots('row', [mid('nasion', 6, -20), at('browPeak', 8, -12)], ref('thrift'), 'Dots over the brow', {
        count: 6,
        first: 3.4,
        last: 1.2,
      }),
      glitter('Dust on the mane', 'outline', [c(9, -4), c(18, 2), c(18, 16), c(9, 12)], {
        amount: 0.35,
        colour: glitterColour('Rose dust'),
        optional: true,
      }),
      gemOf([mid('nasion', 0, -20)], 5, 'Rose'),
    ]
  },
)

/** A crest of fire on the forehead, sparks of scales down both temples. */
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
    budget: 330,
    notes: 'From the menu.',
  },
  ({ at, mid, over, drawn, sheet, clear, line, dots, glitter, id, ground }) => {
    const { rework } = sponging(id, ground)
    const glow = drawn(
      'Glow',
      [
        mid('nasion', 0, -4),
        at('browStart', 4, 5),
        at('browPeak', 4, 4),
        at('browTail', 10, -6),
        over(2, 0.6),
        over(1, 0.8),
        mid('hairline', 0, 7),
      ],
      ['beacon', 'ember', 'rosehip'],
      { axis: along(mid('nasion', 0, 0), mid('hairline', 0, 8)), dabs: 4 },
    )
    return [
      glow,
      rework('Rim stippled out', 'blend', [glow], { width: 7, reach: 3 }),
      sheet('Flames', 'flames', mid('nasion', 0, -30), [pass('rust', 6), pass('soot', 2)]),
      clear({
        ...sheet(
          'Scales, temples',
          'spindrift',
          at('cheekbone', 4, -8),
          [
            pass('ember', 5, {
              part: {
                by: 'zones',
                zones: ['left.cheekbone', 'right.cheekbone', 'left.temple', 'right.temple'],
                fades: 5,
              },
            }),
            pass('rust', 2),
          ],
          { rule: 'features', free: ['lids'] },
        ),
        tilt: 62,
      }),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('soot'), {
        label: 'Eyeline',
        eyes: 'shut',
        params: { press: 60, wing: 9, rise: 30 },
      }),
      dots('row', [at('outerEye', 8, 12), at('cheekbone', -14, 4)], ref('beacon'), 'Sparks', {
        count: 6,
        first: 3.6,
        last: 1.2,
      }),
      glitter(
        'Embers in what stayed empty',
        'outline',
        [mid('nasion', -20, -50), mid('nasion', 0, -56), mid('nasion', 20, -50), mid('nasion', 0, -46)],
        {
          amount: 0.4,
          colour: glitterColour('Ember dust'),
          optional: true,
        },
      ),
    ]
  },
)

/** Half a skull, half a person: for the late hours of the fair. */
export const boneLantern = look(
  {
    id: 'demo-bone-lantern',
    name: 'Bone Lantern',
    age: 19,
    skin: '#e6bd9e',
    hair: '#1c1512',
    cut: 'side parting',
    canvas: PLAIN_FACE,
    tags: ['menu', 'night', 'skull'],
    budget: 420,
    notes: 'From the menu, after dark.',
  },
  ({ at, mid, spot, sheet, clear, line, lips, id, ground }) => {
    const { rework } = sponging(id, ground)
    const bone = spot(
      'Bone',
      [
        mid('hairline', 0, 6),
        at('temple', -14, -10),
        at('temple', -4, 10),
        at('cheekbone', 4, -4),
        at('cheekbone', -4, 26),
        at('mouthCorner', 18, 22),
        at('mouthCorner', 2, 36),
        mid('chin', 0, -6),
        mid('mouth', 0, 0),
        mid('noseTip', 0, 0),
        mid('nasion', 0, 0),
      ],
      ['ivory', 'gull', 'slate'],
      {
        axis: { kind: 'edge', depth: 26 },
        stops: [0.1, 0.6, 1],
        dabs: 4,
        free: ['eyes', 'nostrils', 'lips'],
      },
    )
    const socket = spot(
      'Socket',
      [
        at('innerEye', -2, -10),
        at('browPeak', -2, 2),
        at('browTail', 4, 6),
        at('outerEye', 8, 8),
        at('pupil', 2, 17),
        at('innerEye', 0, 11),
      ],
      ['soot', 'plum'],
      { axis: out(at('pupil', 0, 0), 30), dabs: 6, free: ['eyes'] },
    )
    return [
      bone,
      socket,
      rework('Socket smoked out', 'blend', [socket], { width: 3.5, reach: 1.4, free: ['eyes'] }),
      spot(
        'Hole of the nose',
        [
          mid('noseTip', 1, -11),
          mid('noseTip', 7, -2),
          mid('noseTip', 9, 5),
          mid('noseTip', 5, 7),
          mid('noseTip', 1, 5),
        ],
        ['soot'],
        { brush: 'round4', dabs: 4, free: ['nostrils'] },
      ),
      clear(sheet('Half a skull', 'skull', at('pupil', 4, 6), [pass('soot', 6)], { free: ['lids'] })),
      line(
        'line',
        [at('cheekbone', 2, 8), at('mouthCorner', 22, 4), at('mouthCorner', 12, 12)],
        ref('slate'),
        {
          label: 'Hollow of the cheek',
          rule: 'none',
          params: { press: 60 },
        },
      ),
      lips(['plum']),
    ]
  },
)

/** Skin of an eel about the eyes, silver on the lids, for grown people. */
export const silverEel = look(
  {
    id: 'demo-silver-eel',
    name: 'Silver Eel',
    age: 67,
    skin: '#f0d2bd',
    hair: '#9a938c',
    cut: 'tied back',
    face: 4,
    canvas: PLAIN_FACE,
    tags: ['menu', 'sea'],
    budget: 420,
    notes: 'From the menu. Thin layers: older skin creases.',
  },
  ({ at, mid, drawn, sheet, line, dots, glitter, gemOf, id, ground }) => {
    const { rework } = sponging(id, ground)
    const water = drawn(
      'Water about the eyes',
      [
        mid('nasion', 0, -8),
        at('browPeak', 0, -7),
        at('temple', -3, 14),
        at('cheekbone', 8, -4),
        at('cheekbone', -10, 6),
        at('innerEye', 2, 13),
        mid('nasion', 0, 8),
      ],
      ['tide-pearl', 'lagoon', 'midnight'],
      { axis: out(mid('nasion', 0, 0), 64) },
    )
    return [
      water,
      rework('Rim stippled out', 'blend', [water], { width: 8, reach: 3 }),
      {
        ...sheet(
          'Eelskin',
          'serpent',
          at('outerEye', 17, 2),
          [
            pass('midnight', 5, {
              part: {
                by: 'zones',
                zones: ['left.temple', 'right.temple', 'left.cheekbone', 'right.cheekbone'],
                fades: 6,
              },
            }),
            pass('mackerel', 2, { part: { by: 'zones', zones: ['left.temple', 'right.temple'], fades: 4 } }),
          ],
          {
            rule: 'features',
            free: ['lids'],
          },
        ),
        tilt: 78,
      },
      line(
        'eyeliner',
        [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)],
        ref('midnight'),
        {
          label: 'Eyeline',
          eyes: 'shut',
          params: { press: 50, wing: 9, rise: 25 },
        },
      ),
      dots('row', [at('innerEye', -2, 16), at('pupil', 0, 19)], ref('gull'), 'Bubbles in threes', {
        count: 3,
        first: 3.2,
        last: 1.4,
      }),
      glitter('Frost where it stayed empty', 'rim', [], {
        on: water.id,
        sort: 'gel',
        width: 3,
        amount: 0.3,
        colour: glitterColour('Frost'),
        optional: true,
        worth: 4,
      }),
      gemOf([mid('nasion', 0, -17)], 6, 'Sea'),
    ]
  },
)

/** A rose of the quay with leaves of the hothouse, on a forearm. */
export const quayRose = look(
  {
    id: 'demo-quay-rose',
    name: 'Quay Rose',
    age: 45,
    skin: '#e6bd9e',
    canvas: FOREARM,
    tags: ['menu', 'arm', 'flower'],
    budget: 300,
    notes: 'From the menu, for an arm.',
    sitting: { eyes: 'no' },
  },
  ({ spot, sheet, dots, line }) => [
    spot(
      'Blush beneath',
      [
        [-26, -8],
        [-12, -28],
        [12, -28],
        [26, -8],
        [18, 16],
        [0, 24],
        [-18, 16],
      ],
      ['shell-pearl', 'thrift'],
      { axis: { kind: 'out', from: [0, -4], reach: 34 } },
    ),
    { ...sheet('Leaves above', 'hothouse', [0, -46], [pass('kelp', 6), pass('fern', 2)]), tilt: 0 },
    sheet('The rose', 'rose', [0, -2], [pass('rosehip', 6), pass('plum', 2)]),
    sheet('Lace below', 'lantern-lace', [0, 62], [pass('plum', 5)]),
    line(
      'swirl',
      [
        [20, 20],
        [28, 22],
        [30, 36],
      ],
      ref('plum'),
      { label: 'Tendril', rule: 'midline' },
    ),
    dots(
      'row',
      [
        [-4, 2],
        [4, -8],
      ],
      ref('gull'),
      'Dew',
      { count: 3, first: 2.6, last: 1.2 },
      'none',
    ),
  ],
)
