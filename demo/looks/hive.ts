import type { Point } from '../../core/geometry'
import { PLAIN_FACE } from '../../core/skin'
import type { SheetStep } from '../../core/look'
import { look, pass, ref } from './kit'
import { sponging } from './menu/sponge'

/** Honey that runs down from a comb, with bees about it. */
export const hiveKeeper = look(
  {
    id: 'demo-hive-keeper',
    name: 'Hive Keeper',
    age: 7,
    skin: '#efcdb4',
    hair: '#6d4a2c',
    iris: '#7890a2',
    cut: 'braids',
    freckles: true,
    canvas: PLAIN_FACE,
    tags: ['fair', 'bee'],
    budget: 330,
    notes: 'Saltmarsh Lantern Fair, ticket 022.',
    focus: [0, -2],
  },
  ({ at, mid, over, drawn, patch, line, dots, gemOf, id, ground }) => {
    const { rework, lights, half } = sponging(id, ground)
    const bee = ([x, y]: Point, tilt: number) => {
      const p = (dx: number, dy: number): Point => [
        x + dx * Math.cos(tilt) - dy * Math.sin(tilt),
        y + dx * Math.sin(tilt) + dy * Math.cos(tilt),
      ]
      return [
        line('petals', [p(-1.5, -1), p(1.5, -1)], ref('gull'), {
          label: 'Wings',
          rule: 'none',
          params: { count: 2, length: 8.5, wide: 5, lean: -6 },
        }),
        line('leaf', [p(-6.5, 0), p(6.5, 0)], ref('beacon'), {
          label: 'Bee',
          rule: 'none',
          params: { wide: 7.6, vein: 0 },
        }),
        ...[-2.4, 0.8, 3.6].map(along =>
          line('cCurve', [p(along, -3.2), p(along + 1.2, 0), p(along, 3.2)], ref('soot'), {
            label: 'Stripe',
            rule: 'none',
            brush: 'round1',
            params: { press: 95 },
          }),
        ),
      ]
    }
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const honey = drawn(
      'Honey base',
      [
        p(0, -42),
        over(-12, 0.6),
        over(8, 0.5),
        at('browTail', 6, -14),
        at('outerEye', 17, -4),
        at('outerEye', 12, 10),
        at('outerEye', 0, 16),
        at('pupil', -2, 17),
        at('innerEye', 0, 13),
        p(3, 9),
      ],
      ['beacon', 'beacon', 'ember'],
      { axis: { kind: 'out', from: [0, -8], reach: 60 }, dabs: 4 },
    )
    const comb = patch(
      'Comb',
      'honeycomb',
      { at: p(0, -31), tilt: 180, side: 'A' },
      (x, y) => y < -15 - Math.abs(x) * 0.1 && y > -47 + Math.abs(x) * 0.42 && Math.abs(x) < 36,
      [
        pass('ember', 5, {
          load: { kind: 'over', first: ref('ember'), second: ref('peat'), direction: 180 },
        }),
      ],
    )
    const drip = (
      label: string,
      foot: Point,
      root: Point,
      paint: string,
      press: number,
      rule: 'none' | 'features' = 'features',
    ) =>
      line('teardrop', [foot, root], ref(paint), {
        label,
        rule,
        brush: 'filbert8',
        params: { press },
      })
    const drips = [
      drip('Long drip', at('outerEye', 5, 42), at('outerEye', 7, 12), 'ember', 80),
      drip('Short drip', at('outerEye', -6, 31), at('outerEye', -4, 14), 'beacon', 70),
      drip('Drip at the side', at('outerEye', 14, 29), at('outerEye', 14, 6), 'beacon', 62),
      drip('Small drip', at('pupil', -3, 28), at('pupil', -2, 16), 'ember', 55),
      drip('Drip on the nose', mid('noseTip', 0, -12), p(0, 5), 'ember', 70, 'none'),
    ]
    return [
      honey,
      rework('Rim stippled out', 'blend', [honey], { width: 7, reach: 2.6 }),
      comb,
      half('Jagged outline of some cells', comb, 'peat', { side: 150, share: 45, press: 55 }, every(comb, 3)),
      lights('Light on some cells', comb, 'gull', { side: -40, share: 16, inset: 0.8, press: 40 }),
      patch(
        'Pollen',
        'halftone',
        { at: at('browTail', 4, 8), tilt: 60, side: 'A' },
        (x, y) =>
          x > at('browTail', -2)[0] &&
          x < at('earFront', -7)[0] &&
          y > at('browTail', 0, -14)[1] &&
          y < at('outerEye', 0, 10)[1],
        [pass('rust', 5)],
        { rule: 'features', optional: true, worth: 3 },
      ),
      ...drips,
      ...drips.slice(0, 2).map(d =>
        half(`Outline of the ${d.label.toLowerCase()}`, d, 'peat', {
          side: 120,
          share: 44,
          press: 45,
          jag: 20,
        }),
      ),
      ...drips
        .slice(0, 1)
        .map(d => lights('Shine on the long drip', d, 'gull', { side: -120, share: 16, inset: 1.2 })),
      lights('Shine on the nose', drips[4]!, 'gull', { side: -150, share: 14, inset: 1 }),
      line(
        'line',
        [
          p(3, 9),
          at('innerEye', 1, 14),
          at('pupil', -1, 18),
          at('outerEye', 2, 16),
          at('outerEye', 13, 9),
          at('outerEye', 19, -6),
        ],
        ref('peat'),
        { label: 'Edge of the honey', brush: 'round3', params: { press: 60, even: 30 } },
      ),
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], ref('peat'), {
        label: 'Eyeline',
        eyes: 'shut',
        params: { press: 60, wing: 8, rise: 26 },
      }),
      ...bee([-30, 46], -0.4),
      ...bee([24, 53], 0.35),
      dots(
        'row',
        [
          [-20, 50],
          [-12, 50],
          [-9, 42],
        ],
        ref('peat'),
        "The bee's way",
        { count: 5, first: 1.8, last: 0.8 },
        'none',
      ),
      dots(
        'row',
        [
          [32, 49],
          [38, 42],
          [36, 34],
        ],
        ref('peat'),
        "The other bee's way",
        { count: 5, first: 1.8, last: 0.8 },
        'none',
      ),
      dots(
        'row',
        [over(12, 0.02), over(-2, 0.06), over(-16, 0.12)],
        ref('gull'),
        'Highlights over the brow',
        {
          count: 6,
          first: 3,
          last: 1.2,
        },
      ),
      dots('row', [at('browTail', 14, -18), at('browTail', 6, -22)], ref('beacon'), 'Dots in threes', {
        count: 3,
        first: 3.2,
        last: 1.4,
      }),
      gemOf([p(0, -8)], 5, 'Amber'),
    ]
  },
)

/** Every so manieth of the openings that a patch dabs. */
function every(of: SheetStep, n: number): number[] | null {
  const { openings } = of.passes[0]!
  return openings.use === 'chosen' ? openings.numbers.filter((_, i) => i % n === 0) : null
}
