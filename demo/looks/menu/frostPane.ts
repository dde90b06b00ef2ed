import type { Point } from '../../../core/geometry'
import { PLAIN_FACE } from '../../../core/skin'
import { glitterColour, look, outFrom, pass, ref } from '../kit'
import { sponging } from './sponge'

/** Frost over half a face: flakes large and small, and a moon wiped clear of it. */
export const frostPane = look(
  {
    id: 'demo-frost-pane',
    name: 'Frost Pane',
    age: 12,
    skin: '#a8714d',
    hair: '#2a1c14',
    cut: 'headscarf',
    face: 7,
    canvas: PLAIN_FACE,
    tags: ['menu', 'winter'],
    budget: 480,
    notes: 'From the menu. Half the face; the moon is where the frost was wiped away.',
  },
  ({ at, mid, over, spot, sheet, clear, line, dots, glitter, gemOf, id, ground }) => {
    const { rework, lights } = sponging(id, ground)
    const p = (dx: number, dy: number): Point => mid('nasion', dx, dy)
    const one = { rule: 'none' as const }
    const frost = spot(
      'Frost on the left half',
      [
        p(-4, -30),
        p(4, -46),
        over(2, 0.86),
        at('temple', -6, -4),
        at('temple', -3, 18),
        at('cheekbone', 6, -2),
        at('cheekbone', -6, 22),
        at('mouthCorner', 14, -4),
        at('noseWing', 8, 2),
        at('innerEye', 4, 18),
        p(2, 8),
        p(-6, -12),
      ],
      ['gull', 'sky', 'harbour'],
      { axis: outFrom(at('pupil', -2, -4), 62), stops: [0, 0.5, 1], dabs: 4 },
    )
    const m = (dx: number, dy: number): Point => [over(9, 0.4)[0] + dx, over(9, 0.4)[1] + dy]
    /** Half of the moon's outline: a bow from one horn to the other. */
    const bow = (reach: number, way: 1 | -1): [number, number][] =>
      [-6, -3.5, 0, 3.5, 6].map(dy => m(5 + (reach - 5) * (1 - (dy / 7) ** 2), way * dy) as [number, number])
    const moon = rework('Moon wiped clear', 'wipe', [], {
      area: 'outline',
      points: [...bow(-8.5, 1), ...bow(-3, -1)],
      stays: 0.1,
      edge: 1.2,
    })
    const flake = (
      label: string,
      middle: Point,
      reach: number,
      brush: 'round1' | 'round2',
      paint = 'gull',
    ) => [
      line('starburst', [middle, [middle[0], middle[1] - reach]], ref(paint), {
        label,
        ...one,
        brush,
        params: { press: 55, rays: 6, short: 100, hollow: 0 },
      }),
      line('flower', [middle, [middle[0] + reach * 0.32, middle[1] - reach * 0.56]], ref(paint), {
        label: `${label}, its leaves`,
        ...one,
        brush: 'round2',
        params: { count: 6, wide: Math.max(1.6, reach * 0.16), heart: 25 },
      }),
    ]
    const large = flake('Large flake', p(12, -33), 14, 'round2')
    return [
      frost,
      rework('Rim stippled out', 'blend', [frost], { width: 9, reach: 3.2 }),
      clear(
        sheet(
          'Snow',
          'snow',
          at('cheekbone', -11, 16),
          [pass('gull', 6, { part: { by: 'step', step: frost.id, strips: null, fades: 4 }, glitter: true })],
          { tilt: 30, free: ['eyes', 'lids'] },
        ),
      ),
      clear({
        ...sheet(
          'Small crosses of frost',
          'crosses',
          over(-2, 0.5),
          [
            pass('harbour', 4, { part: { by: 'step', step: frost.id, strips: null, fades: 4 } }),
            pass('gull', 3, { part: { by: 'zones', zones: ['left.temple', 'right.temple'], fades: 4 } }),
          ],
          { free: ['eyes', 'lids', 'left half'] },
        ),
        tilt: 12,
      }),
      moon,
      line('cCurve', [m(5, -7.5), m(-9, 0), m(5, 7.5)], ref('midnight'), {
        label: 'Edge of the moon',
        ...one,
        brush: 'round2',
        params: { press: 65 },
      }),
      ...large,
      ...flake('Flake at the temple', at('temple', -7, 22), 8, 'round1'),
      lights('Light on the flake', large[0]!, 'oyster', { inset: 0.4, share: 10 }),
      line(
        'eyeliner',
        [at('innerEye', 0, -1), at('pupil', 0, -8), at('outerEye', 2, -1.5)],
        ref('midnight'),
        {
          label: 'Eyeline',
          eyes: 'shut',
          params: { press: 85, wing: 12, rise: 28 },
        },
      ),
      dots(
        'row',
        [p(-10, -14), p(-20, -14)],
        ref('gull'),
        'Dots in threes',
        { count: 3, first: 3.4, last: 1.4 },
        'none',
      ),
      dots(
        'row',
        [at('cheekbone', -9, 26), at('mouthCorner', 15, 6)],
        ref('sky'),
        'Dots down the cheek',
        {
          count: 4,
          first: 3.4,
          last: 1.2,
        },
        'none',
      ),
      glitter('Frost dust where it stayed empty', 'patch', [over(0, 0.3), over(12, 0.16)], {
        colour: glitterColour('Frost'),
        amount: 0.3,
        optional: true,
      }),
      gemOf([p(0, -9)], 5, 'Clear'),
    ]
  },
)
