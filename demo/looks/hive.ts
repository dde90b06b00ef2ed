import type { Point } from '../../core/geometry'
import { PLAIN_FACE } from '../../core/skin'
import { look, pass, ref } from './kit'

/** Honey that runs down from a comb, with bees about it. */
export const hiveKeeper = look(
  {
    id: 'demo-hive-keeper',
    name: 'Hive Keeper',
    age: 7,
    skin: '#efcdb4',
    hair: '#6d4a2c',
    cut: 'braids',
    freckles: true,
    canvas: PLAIN_FACE,
    tags: ['fair', 'bee'],
    budget: 330,
    notes: 'Saltmarsh Lantern Fair, ticket 022.',
    focus: [0, -2],
  },
  ({ at, mid, over, drawn, patch, line, dots, gemOf }) => {
    const bee = ([x, y]: Point, tilt: number) => {
      const p = (dx: number, dy: number): Point => [
        x + dx * Math.cos(tilt) - dy * Math.sin(tilt),
        y + dx * Math.sin(tilt) + dy * Math.cos(tilt),
      ]
      return [
        line('petals', [p(-1.5, -1), p(1.5, -1)], ref('gull'), {
          label: 'Wings',
          rule: 'none',
          params: { count: 2, length: 6.5, wide: 3.6, lean: -6 },
        }),
        line('leaf', [p(-5, 0), p(5, 0)], ref('beacon'), {
          label: 'Bee',
          rule: 'none',
          params: { wide: 5.6, vein: 0 },
        }),
        line('stitches', [p(-3.6, 0.2), p(4.4, 0.2)], ref('soot'), {
          label: 'Its stripes',
          rule: 'none',
          brush: 'round1',
          params: { count: 3, length: 4.6, lean: 0, press: 70 },
        }),
      ]
    }
    return [
      drawn(
        'Honey base',
        [
          mid('hairline', 0, 12),
          over(-10, 0.72),
          over(8, 0.55),
          at('browTail', 4, -16),
          at('browTail', 9, -3),
          at('outerEye', 9, 4),
          at('outerEye', 3, 2),
          at('browPeak', 0, 4),
          at('browStart', -1, 4),
          mid('nasion', 0, 6),
        ],
        ['beacon', 'beacon', 'ember'],
        { axis: { kind: 'out', from: [0, -16], reach: 62 } },
      ),
      patch(
        'Comb',
        'honeycomb',
        { at: mid('nasion', 0, -34), tilt: 180, side: 'A' },
        (x, y) => y < -13 - Math.abs(x) * 0.05 && y > -46 && Math.abs(x) < 41,
        [
          pass('ember', 5, {
            load: { kind: 'over', first: ref('ember'), second: ref('peat'), direction: 180 },
          }),
        ],
      ),
      patch(
        'Pollen',
        'halftone',
        { at: at('browTail', 2, 4), tilt: 60, side: 'A' },
        (x, y) =>
          x > at('browTail', -2)[0] &&
          x < at('earFront', -7)[0] &&
          y > at('browTail', 0, -10)[1] &&
          y < at('outerEye', 0, 10)[1],
        [pass('ember', 5)],
        { rule: 'features', optional: true, worth: 3 },
      ),
      line(
        'line',
        [
          mid('nasion', 0, 7),
          at('browStart', 0, 5),
          at('browPeak', -2, 3),
          at('browTail', -3, 2),
          at('browTail', 10, -3),
          at('browTail', 7, -17),
        ],
        ref('peat'),
        { label: 'Edge of the honey', brush: 'round3', params: { press: 60, even: 30 } },
      ),
      line('teardrop', [at('outerEye', 7, 30), at('outerEye', 9, 1)], ref('ember'), {
        label: 'Long drip',
        brush: 'round4',
        params: { press: 95 },
      }),
      line('teardrop', [at('outerEye', 16, 18), at('outerEye', 16, -3)], ref('beacon'), {
        label: 'Short drip',
        brush: 'round4',
        params: { press: 80 },
      }),
      line('teardrop', [at('outerEye', -2, 20), at('outerEye', 1, 5)], ref('beacon'), {
        label: 'Small drip',
        brush: 'round3',
        params: { press: 85 },
      }),
      line('teardrop', [mid('noseTip', 0, -8), mid('nasion', 0, 5)], ref('ember'), {
        label: 'Drip on the nose',
        rule: 'none',
        brush: 'round4',
        params: { press: 90 },
      }),
      line('line', [at('outerEye', 6, 27), at('outerEye', 6.6, 24), at('outerEye', 7.6, 20)], ref('gull'), {
        label: 'Shine on the drips',
        brush: 'round1',
        params: { press: 80 },
      }),
      ...bee([-34, 41], -0.4),
      ...bee([27, 54], 0.35),
      dots(
        'row',
        [
          [-21, 45],
          [-13, 46],
          [-11, 38],
        ],
        ref('peat'),
        "The bee's way",
        { count: 5, first: 1.6, last: 0.8 },
        'none',
      ),
      dots(
        'row',
        [over(12, 0.02), over(-2, 0.06), over(-16, 0.12)],
        ref('gull'),
        'Highlights over the brow',
        { count: 6, first: 2.4, last: 1.2 },
      ),
      gemOf([mid('nasion', 0, -4)], 5, 'Amber'),
    ]
  },
)
