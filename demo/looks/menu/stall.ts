import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { glitterColour, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

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
  ({ at, spot, sheet, dots, line, id, ground }) => {
    const { half, lights, rework } = sponging(id, ground)
    const c = (dx: number, dy: number): Point => at('cheekbone', dx - 12, dy + 15)
    const fen = spot(
      'Fen on the cheek',
      [c(-20, 4), c(-8, -13), c(10, -14), c(20, 0), c(10, 15), c(-8, 15)],
      ['beacon', 'fern'],
      { axis: outFrom(c(0, 0), 24) },
    )
    const lizard = {
      ...sheet('The lizard', 'old-lizard', c(0, 0), [pass('kelp', 6), pass('fern', 2, { runsOut: 0.3 })]),
      tilt: -6,
    }
    const blade = (label: string, foot: Point, bend: Point, tip: Point) =>
      line('leaf', [foot, bend, tip], ref('fern'), {
        label,
        rule: 'none',
        brush: 'filbert8',
        load: { kind: 'double', light: ref('sedge'), dark: ref('kelp') },
        params: { wide: 4, vein: 0 },
      })
    return [
      fen,
      rework('Rim stippled out', 'blend', [fen], { width: 6, reach: 2.4 }),
      lizard,
      half('Jagged outline', lizard, 'soot', { side: 150, share: 45, press: 60, jag: 40 }),
      lights('Light on its back', lizard, 'beacon', { side: -20, share: 14, inset: 0.9, press: 40 }),
      blade('Blade of sedge', c(-17, 19), c(-20, 8), c(-17, -3)),
      blade('Second blade', c(-12, 20), c(-14, 13), c(-19, 8)),
      blade('Blade in front', c(17, 20), c(20, 12), c(18, 3)),
      line('line', [c(-22, 18), c(0, 21), c(22, 18)], ref('peat'), {
        label: 'Ground',
        rule: 'none',
        brush: 'round3',
        params: { press: 60 },
      }),
      dots(
        'row',
        [c(-20, -11), c(-12, -17)],
        ref('beacon'),
        'Dots in threes',
        { count: 3, first: 3.2, last: 1.4 },
        'none',
      ),
      dots(
        'row',
        [c(-6, 5), c(8, 4)],
        ref('gull'),
        'Spots on its side',
        { count: 5, first: 2, last: 1 },
        'none',
      ),
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
    iris: '#7f96a3',
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
      { axis: outFrom(mid('nasion', 0, 0), 64) },
    )
    return [
      water,
      rework('Rim stippled out', 'blend', [water], { width: 8, reach: 3 }),
      glitter('Frost where it stayed empty', 'rim', [], {
        on: water.id,
        sort: 'fine',
        width: 3,
        amount: 0.3,
        colour: glitterColour('Frost'),
        optional: true,
        worth: 4,
      }),
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
      line(
        'line',
        [
          mid('nasion', 4, 9),
          at('innerEye', 2, 15),
          at('pupil', 0, 20),
          at('outerEye', 6, 15),
          at('outerEye', 20, -4),
        ],
        ref('midnight'),
        { label: 'Lower edge', brush: 'round3', params: { press: 55 } },
      ),
      line('petals', [at('browStart', 2, -9), at('browPeak', 2, -8), at('browTail', 6, -9)], ref('foam'), {
        label: 'Fins over the brow',
        load: { kind: 'double', light: ref('oyster'), dark: ref('lagoon') },
        params: { count: 5, length: 13, wide: 6.5, lean: -25 },
      }),
      line(
        'swirl',
        [mid('nasion', 13, -37), mid('nasion', 19, -37), mid('nasion', 2, -21)],
        ref('midnight'),
        {
          label: 'Two eels on the forehead',
          brush: 'round4',
          params: { press: 85, turns: 1.2, shrink: 34 },
        },
      ),
      line(
        'teardrop',
        [mid('nasion', 20, -22), mid('nasion', 15, -26), mid('nasion', 12, -28)],
        ref('mackerel'),
        {
          label: 'Drops beside them',
          params: { press: 60 },
        },
      ),
      dots(
        'row',
        [mid('nasion', 0, -27), mid('nasion', 0, -46)],
        ref('foam'),
        'Bubbles on the forehead',
        { count: 4, first: 3.6, last: 1.4 },
        'none',
      ),
      dots('row', [at('innerEye', -2, 16), at('pupil', 0, 19)], ref('gull'), 'Bubbles in threes', {
        count: 3,
        first: 3.2,
        last: 1.4,
      }),
      gemOf([mid('nasion', 0, -17)], 6, 'Sea'),
    ]
  },
)
