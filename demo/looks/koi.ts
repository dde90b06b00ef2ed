import type { Point } from '../../core/geometry'
import { PLAIN_FACE } from '../../core/skin'
import { glitterColour, look, pass, ref } from './kit'

/** A koi that swims up to the eye under a water flower, lopsided on purpose. */
export const koiLantern = look(
  {
    id: 'demo-koi-lantern',
    name: 'Koi Lantern',
    age: 34,
    skin: '#f3d9c6',
    hair: '#7a2f1d',
    iris: '#6e7d55',
    cut: 'tied back',
    freckles: true,
    canvas: PLAIN_FACE,
    tags: ['fair', 'sea', 'lopsided'],
    budget: 480,
    notes: 'Saltmarsh Lantern Fair, ticket 052. Lopsided on purpose: one koi on their right.',
    focus: [-30, 4],
  },
  ({ at, spot, patch, line, dots, gemOf, glitter, lips }) => {
    const l = (name: Parameters<typeof at>[0], dx = 0, dy = 0): Point => [
      -at(name, dx, dy)[0],
      at(name, dx, dy)[1],
    ]
    const one = { rule: 'none' as const }
    const tail = l('noseWing', 8, 16)
    const bend = l('pupil', 24, 50)
    const head = l('pupil', 8, 17)
    /** A point of the koi: how far along from tail to head, 0 to 1, and mm off the middle toward its back. */
    const body = (t: number, off: number): Point => {
      const u = 1 - t
      const x = u * u * tail[0] + 2 * u * t * bend[0] + t * t * head[0]
      const y = u * u * tail[1] + 2 * u * t * bend[1] + t * t * head[1]
      const dx = u * (bend[0] - tail[0]) + t * (head[0] - bend[0])
      const dy = u * (bend[1] - tail[1]) + t * (head[1] - bend[1])
      const n = Math.hypot(dx, dy)
      return [x + (dy / n) * off, y - (dx / n) * off]
    }
    return [
      spot(
        'Water round the eye',
        [
          l('innerEye', -4, 4),
          l('browStart', 2, -14),
          l('browPeak', 0, -24),
          l('browTail', 2, -22),
          l('browTail', 13, -4),
          l('cheekbone', 5, 6),
          l('cheekbone', 2, 36),
          l('mouthCorner', 16, 2),
          l('mouthCorner', 3, -10),
          l('noseWing', 4, -4),
          l('pupil', -10, 18),
        ],
        ['foam', 'sky', 'lagoon'],
        { axis: { kind: 'out', from: [...l('pupil', 2, 12)] as [number, number], reach: 66 } },
      ),
      patch(
        'Ripples',
        'fans',
        { at: l('pupil', 10, 36), tilt: 12, side: 'A' },
        (x, y) =>
          y > l('cheekbone', 0, -8)[1] &&
          y < l('mouthCorner', 0, 2)[1] &&
          x < l('noseWing', 7)[0] &&
          x > l('cheekbone', 3)[0],
        [pass('lagoon', 4), pass('gull', 1)],
        { optional: true, worth: 3 },
      ),
      patch(
        'Bubbles',
        'bubbles',
        { at: l('browTail', 2, -4), tilt: 10, side: 'A' },
        (x, y) =>
          x < l('browPeak', 2)[0] &&
          x > l('browTail', 13)[0] &&
          y < l('browTail', 0, 3)[1] &&
          y > l('browTail', 0, -18)[1],
        [pass('gull', 4)],
        { optional: true, worth: 2 },
      ),
      line('petals', [body(0.02, 5), body(0.02, -5)], ref('gull'), {
        label: 'Tail fin',
        ...one,
        load: { kind: 'double', light: ref('gull'), dark: ref('ember') },
        params: { count: 4, length: 17, wide: 8, lean: -70 },
      }),
      line('petals', [body(0.62, -7), body(0.46, -6.5)], ref('gull'), {
        label: 'Fin on the inner side',
        ...one,
        load: { kind: 'double', light: ref('gull'), dark: ref('coral') },
        params: { count: 2, length: 13, wide: 6, lean: -20 },
      }),
      line('petals', [body(0.36, 9), body(0.62, 9)], ref('ember'), {
        label: 'Back fin',
        ...one,
        load: { kind: 'double', light: ref('coral'), dark: ref('rosehip') },
        params: { count: 3, length: 9, wide: 5, lean: -40 },
      }),
      line('leaf', [tail, bend, head], ref('ember'), {
        label: 'Body of the koi',
        ...one,
        load: { kind: 'double', light: ref('ivory'), dark: ref('ember') },
        dark: 'left',
        params: { wide: 23, vein: 0 },
      }),
      ...[5.5, 1, -3.5].map((off, k) =>
        line(
          'scallops',
          [body(0.14 + 0.04 * k, off * 0.7), body(0.4, off), body(0.72, off)],
          ref('rosehip'),
          {
            label: `Scales, row ${k + 1}`,
            ...one,
            brush: 'round1',
            params: { count: 8 - k, height: 2.8, press: 55 },
          },
        ),
      ),
      line(
        'line',
        [body(0, 0), body(0.25, 8.4), body(0.55, 11.6), body(0.82, 9.4), body(1, 0)],
        ref('soot'),
        { label: 'Back line', ...one, brush: 'round3', params: { press: 48 } },
      ),
      line('line', [body(0, 0), body(0.25, -5), body(0.52, -7), body(0.78, -8), body(1, 0)], ref('soot'), {
        label: 'Belly line',
        ...one,
        brush: 'round2',
        params: { press: 65 },
      }),
      line('cCurve', [body(0.78, 8.5), body(0.74, 0), body(0.78, -8.5)], ref('soot'), {
        label: 'Gill',
        ...one,
        brush: 'round2',
        params: { press: 50 },
      }),
      line('cCurve', [body(0.99, 2), body(1.02, 5), body(0.98, 9)], ref('soot'), {
        label: 'Barbel',
        ...one,
        brush: 'round1',
        params: { press: 80 },
      }),
      line('cCurve', [body(0.99, -2), body(1.02, -5), body(0.98, -9)], ref('soot'), {
        label: 'Second barbel',
        ...one,
        brush: 'round1',
        params: { press: 80 },
      }),
      dots(
        'row',
        [body(0.89, -2), body(0.89, -1.8)],
        ref('gull'),
        'Its eye',
        { count: 1, first: 4.6, last: 4.6 },
        'none',
      ),
      dots(
        'row',
        [body(0.9, -2), body(0.9, -1.8)],
        ref('soot'),
        'Its pupil',
        { count: 1, first: 2.5, last: 2.5 },
        'none',
      ),
      line('flower', [l('browPeak', 2, -22), l('browPeak', 2, -37)], ref('thrift'), {
        label: 'Water flower',
        ...one,
        load: { kind: 'double', light: ref('gull'), dark: ref('thrift') },
        params: { count: 8, wide: 8, heart: 14 },
      }),
      line('leaf', [l('browPeak', 16, -18), l('browTail', 6, -18), l('browTail', 12, -6)], ref('kelp'), {
        label: 'Leaf of the flower',
        ...one,
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide: 9, vein: 0.6 },
      }),
      line('leaf', [l('browPeak', -11, -22), l('browPeak', -22, -22), l('browStart', -2, -14)], ref('kelp'), {
        label: 'Second leaf',
        ...one,
        load: { kind: 'double', light: ref('fern'), dark: ref('kelp') },
        params: { wide: 8, vein: 0.6 },
      }),
      dots(
        'row',
        [l('innerEye', 0, 16), l('noseWing', -4, -26), l('noseWing', -8, -40)],
        ref('gull'),
        'Bubbles up the nose',
        { count: 6, first: 4.4, last: 1.4 },
        'none',
      ),
      lips(['coral']),
      glitter('Lantern light', 'trail', [body(0.1, 3), body(0.5, 5), body(0.8, 4)], {
        sort: 'fine',
        width: 9,
        colour: glitterColour('Gold dust'),
        amount: 0.5,
      }),
      gemOf([l('browPeak', 2, -22)], 5, 'Amber'),
      gemOf([l('outerEye', 17, -8), l('outerEye', 18, 2)], 3, 'Clear'),
    ]
  },
)
