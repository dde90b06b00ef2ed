import type { ArmCanvas } from '../../core/skin'
import { glitterColour, look, pass, ref } from './kit'

const FOREARM: ArmCanvas = { kind: 'arm', part: 'forearm', side: 'right', measures: null }

/** A cuff of the tide, the same on both edges. */
export const kelpCuff = look(
  {
    id: 'demo-kelp-cuff',
    name: 'Kelp Cuff',
    age: 16,
    skin: '#84522f',
    canvas: FOREARM,
    tags: ['fair', 'sea', 'arm'],
    budget: 300,
    notes: 'Saltmarsh Lantern Fair, ticket 027. On the arm: no paint near the eyes wanted.',
    focus: [0, 0],
    sitting: { eyes: 'no' },
  },
  ({ zones, sheet, patch, line, dots, gemOf, glitter }) => [
    zones('Tide round the arm', ['middle band'], ['sky', 'lagoon', 'harbour'], {
      axis: { kind: 'out', from: [0, 0], reach: 60 },
    }),
    patch('Scales', 'scales', { at: [0, 0], tilt: 0, side: 'A' }, (_x, y) => Math.abs(y) < 25, [
      pass('midnight', 6),
      pass('sky', 2),
    ]),
    sheet('Wave, both edges', 'waves', [0, -42], [pass('gull', 7)], { rule: 'turn' }),
    line(
      'swirl',
      [
        [-14, -60],
        [-7, -60],
        [22, -52],
      ],
      ref('gull'),
      { label: 'Swirl over the wave', rule: 'turn', params: { turns: 1.5, press: 62, shrink: 20 } },
    ),
    line(
      'swirl',
      [
        [16, -66],
        [11, -66],
        [-14, -72],
      ],
      ref('lantern'),
      { label: 'Gold swirl', rule: 'turn', params: { turns: 1.3, press: 55, shrink: 22 } },
    ),
    line(
      'leaf',
      [
        [-30, -66],
        [-24, -80],
        [-12, -90],
      ],
      ref('kelp'),
      { label: 'Kelp leaf', rule: 'turn', params: { wide: 8 } },
    ),
    line(
      'leaf',
      [
        [-22, -66],
        [-10, -76],
        [4, -80],
      ],
      ref('fern'),
      { label: 'Small leaf', rule: 'turn', params: { wide: 6 } },
    ),
    dots(
      'row',
      [
        [24, -60],
        [22, -72],
        [12, -80],
      ],
      ref('gull'),
      'Bubbles',
      { count: 6, first: 4.2, last: 1.4 },
      'turn',
    ),
    line(
      'teardrop',
      [
        [0, -30],
        [0, -15],
      ],
      ref('lantern'),
      { label: 'Drop', rule: 'turn', params: { press: 90 } },
    ),
    glitter(
      'Sea dust on the scales',
      'patch',
      [
        [0, 0],
        [0, -22],
      ],
      { sort: 'fine', colour: glitterColour('Sea dust'), amount: 0.4 },
    ),
    gemOf([[0, 0]], 9, 'Sea'),
    gemOf(
      [
        [-11, 0],
        [11, 0],
      ],
      4,
      'Clear',
    ),
  ],
)

/** A kite in a storm, its tail all the way to the hand. */
export const stormKite = look(
  {
    id: 'demo-storm-kite',
    name: 'Storm Kite',
    age: 3,
    skin: '#eec7a6',
    canvas: { ...FOREARM, side: 'left' },
    tags: ['fair', 'arm', 'small child', 'quick'],
    budget: 240,
    notes: 'Saltmarsh Lantern Fair, ticket 071. Two years old: the arm only.',
    focus: [0, -40],
    sitting: { age: 2, eyes: 'no', lips: 'no' },
  },
  ({ spot, patch, line, dots }) => [
    spot(
      'Storm sky',
      [
        [-20, -52],
        [0, -58],
        [20, -52],
        [24, -30],
        [20, -8],
        [0, -2],
        [-20, -8],
        [-24, -30],
      ],
      ['sky', 'slate'],
      { axis: { kind: 'out', from: [0, -30], reach: 34 } },
    ),
    patch(
      'Rain',
      'halftone',
      { at: [0, -28], tilt: 0, side: 'A' },
      (x, y) => Math.hypot(x, (y + 28) * 0.9) < 22 && Math.hypot(x, y + 28) > 12,
      [pass('slate', 5)],
      { optional: true, worth: 2 },
    ),
    spot(
      'Kite',
      [
        [0, -49],
        [14, -33],
        [0, -9],
        [-14, -33],
      ],
      ['beacon', 'ember', 'rosehip'],
      { straight: true, tool: 'point', dabs: 8, axis: { kind: 'line', from: [0, -48], to: [0, -10] } },
    ),
    line(
      'line',
      [
        [0, -49],
        [14, -33],
      ],
      ref('soot'),
      { label: 'Edge', rule: 'midline', brush: 'round2', params: { press: 50, even: 40 } },
    ),
    line(
      'line',
      [
        [14, -33],
        [0, -9],
      ],
      ref('soot'),
      { label: 'Lower edge', rule: 'midline', brush: 'round2', params: { press: 50, even: 40 } },
    ),
    line(
      'line',
      [
        [0, -49],
        [0, -9],
      ],
      ref('soot'),
      { label: 'Spar', rule: 'none', brush: 'round1', params: { press: 50, even: 70 } },
    ),
    line(
      'line',
      [
        [-13, -33],
        [13, -33],
      ],
      ref('soot'),
      { label: 'Cross spar', rule: 'none', brush: 'round1', params: { press: 50, even: 70 } },
    ),
    line(
      'line',
      [
        [0, -9],
        [-7, 4],
        [6, 18],
        [-5, 33],
        [3, 48],
      ],
      ref('soot'),
      { label: 'Tail', rule: 'none', brush: 'round2', params: { press: 45, even: 60 } },
    ),
    line(
      'petals',
      [
        [-9, 3],
        [-3, 7],
      ],
      ref('beacon'),
      { label: 'Bow', rule: 'none', params: { count: 2, length: 7, wide: 4, lean: 40 } },
    ),
    line(
      'petals',
      [
        [8, 20],
        [2, 16],
      ],
      ref('ember'),
      { label: 'Bow', rule: 'none', params: { count: 2, length: 7, wide: 4, lean: 40 } },
    ),
    line(
      'petals',
      [
        [-7, 32],
        [-1, 36],
      ],
      ref('beacon'),
      { label: 'Bow', rule: 'none', params: { count: 2, length: 7, wide: 4, lean: 40 } },
    ),
    line(
      'zigzag',
      [
        [22, -50],
        [17, -22],
      ],
      ref('beacon'),
      { label: 'Lightning', rule: 'none', brush: 'round3', params: { count: 2, height: 5, press: 70 } },
    ),
    line(
      'zigzag',
      [
        [-19, -46],
        [-24, -24],
      ],
      ref('beacon'),
      { label: 'Lightning, left', rule: 'none', brush: 'round3', params: { count: 2, height: 4, press: 60 } },
    ),
    dots(
      'threes',
      [
        [16, 0],
        [10, -8],
      ],
      ref('gull'),
      'Drops of rain',
      { first: 3, last: 1.4 },
      'none',
    ),
  ],
)
