import type { Point } from '../../../core/geometry'
import type { ArmCanvas } from '../../../core/skin'
import { glitterColour, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

const FOREARM: ArmCanvas = { kind: 'arm', part: 'forearm', side: 'left', measures: null }

/** A rose of the quay in leaves of the hothouse over lace, on a forearm. */
export const quayRose = look(
  {
    id: 'demo-quay-rose',
    name: 'Quay Rose',
    age: 45,
    skin: '#e6bd9e',
    canvas: FOREARM,
    tags: ['menu', 'arm', 'flower'],
    budget: 420,
    notes: 'From the menu, for an arm.',
    sitting: { eyes: 'no' },
  },
  ({ spot, sheet, dots, line, gemOf, glitter, id, ground }) => {
    const { half } = sponging(id, ground)
    const blush = spot(
      'Blush beneath',
      [
        [-30, -4],
        [-20, -34],
        [0, -44],
        [20, -34],
        [30, -4],
        [20, 24],
        [0, 32],
        [-20, 24],
      ],
      ['ivory', 'shell-pearl', 'thrift'],
      { axis: outFrom([0, -4], 40) },
    )
    const heart = spot(
      'Pink beneath the rose',
      [
        [-24, -2],
        [-14, -19],
        [4, -21],
        [21, -10],
        [20, 8],
        [6, 18],
        [-14, 15],
      ],
      ['thrift', 'coral'],
      { brush: 'filbert8', axis: outFrom([0, -2], 26), dabs: 4 },
    )
    const rose = sheet('The rose', 'rose', [0, -2], [pass('rosehip', 6), pass('plum', 3, { runsOut: 0.3 })])
    const leaf = (label: string, foot: Point, bend: Point, tip: Point, wide: number) =>
      line('leaf', [foot, bend, tip], ref('kelp'), {
        label,
        rule: 'midline',
        brush: 'flat19',
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide, vein: 0.7 },
      })
    const large = leaf('Large leaves', [21, -13], [33, -22], [27, -42], 15)
    const low = leaf('Leaves below', [21, 9], [33, 10], [34, 26], 11)
    return [
      blush,
      heart,
      { ...sheet('Leaf above', 'hothouse', [0, -38], [pass('kelp', 6), pass('fern', 2)]), tilt: 0 },
      sheet('Lace below', 'lantern-lace', [0, 58], [pass('plum', 5)]),
      rose,
      half('Jagged outline of some petals', rose, 'plum', { side: 135, share: 40, press: 45 }),
      line(
        'line',
        [
          [-13, -15],
          [-2, -18.5],
          [9, -16],
        ],
        ref('gull'),
        {
          label: 'Light on the upper petal',
          rule: 'none',
          brush: 'round2',
          params: { press: 80 },
        },
      ),
      line(
        'line',
        [
          [-20, -5],
          [-18, 5],
          [-11, 11],
        ],
        ref('gull'),
        {
          label: 'Light on the side petal',
          rule: 'none',
          brush: 'round2',
          params: { press: 65 },
        },
      ),
      line(
        'line',
        [
          [10, 1],
          [12, 8],
          [5, 12],
        ],
        ref('gull'),
        {
          label: 'Light on the lower petal',
          rule: 'none',
          brush: 'round2',
          params: { press: 55 },
        },
      ),
      dots(
        'row',
        [
          [8, -68],
          [4, -78],
        ],
        ref('mulberry'),
        'Dots in threes above',
        { count: 3, first: 3.6, last: 1.4 },
        'midline',
      ),
      dots(
        'row',
        [
          [28, -2],
          [37, 4],
        ],
        ref('gull'),
        'Dots beside the rose',
        { count: 3, first: 3.4, last: 1.6 },
        'midline',
      ),
      dots(
        'row',
        [
          [-4, 3],
          [5, -7],
        ],
        ref('gull'),
        'Dew',
        { count: 3, first: 2.6, last: 1.2 },
        'none',
      ),
      large,
      low,
      half('Jagged outline of the leaves', large, 'soot', { side: 90, share: 40, press: 40 }),
      glitter(
        'Dust where it stayed empty',
        'outline',
        [
          [-28, -22],
          [28, -22],
          [30, 16],
          [-30, 16],
        ],
        {
          amount: 0.2,
          colour: glitterColour('Rose dust'),
          optional: true,
        },
      ),
      gemOf([[0, 24]], 5, 'Ruby'),
    ]
  },
)
