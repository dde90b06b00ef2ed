import type { Point } from '../../../geometry'
import { made, type Starter } from './setting'

/** Accents, flowers, stripes and figures of a face. */
export const ORNAMENTS = {
  brow: {
    words: 'Brow accent',
    what: 'drops and dots over the tail of the brow',
    on: 'face',
    make: made(({ at, line, dots, palette: p }) => [
      line('teardrop', [at('browTail', 6, -24), at('browTail', 2, -7)], p.accent, {
        label: 'Drop',
        params: { press: 80 },
      }),
      line('teardrop', [at('browTail', -4, -27), at('browTail', -5, -9)], p.body, {
        label: 'Drop',
        params: { press: 70 },
      }),
      line('teardrop', [at('browTail', 14, -18), at('browTail', 7, -4)], p.body, {
        label: 'Drop',
        params: { press: 70 },
      }),
      dots(
        'row',
        [at('browTail', -10, -10), at('browPeak', 2, -8), at('browPeak', -14, -7)],
        p.light,
        'Dots along the brow',
        { count: 6, first: 2.8, last: 1.1 },
      ),
    ]),
  },
  liner: {
    words: 'Eyeliner and lashes',
    what: 'with a wing, lashes at the outer corner',
    on: 'face',
    make: made(({ at, line, palette: p }) => [
      line('eyeliner', [at('innerEye', 1, -1.5), at('pupil', 0, -8), at('outerEye', 2, -1.5)], p.dark, {
        label: 'Eyeliner',
        params: { press: 85, wing: 10, rise: 26 },
      }),
      line('lashes', [at('pupil', 4, -9), at('outerEye', 0, -5), at('outerEye', 6, -3)], p.dark, {
        label: 'Lashes',
        optional: true,
        params: { count: 6, length: 8, lean: 40, press: 80 },
      }),
    ]),
  },
  flower: {
    words: 'Flower spray',
    what: 'at the temple, with leaves and dots',
    on: 'face',
    make: made(({ at, line, dots, gem, palette: p }) => [
      line('leaf', [at('temple', -3, 15), at('temple', -6, 30), at('temple', 1, 42)], p.dark, {
        label: 'Leaf',
        rule: 'none',
        params: { wide: 8 },
      }),
      line('leaf', [at('temple', -12, 13), at('temple', -24, 12), at('temple', -34, 7)], p.dark, {
        label: 'Leaf',
        rule: 'none',
        params: { wide: 7 },
      }),
      line('flower', [at('temple', -6, 12), at('temple', -6, -1)], p.body, {
        label: 'Flower',
        rule: 'none',
        load: { kind: 'double', light: p.light, dark: p.body },
        params: { count: 5, wide: 11, heart: 16 },
      }),
      line('flower', [at('temple', 1, 27), at('temple', 1, 20)], p.accent, {
        label: 'Small flower',
        rule: 'none',
        params: { count: 5, wide: 6, heart: 18 },
      }),
      dots(
        'threes',
        [at('temple', -20, 19), at('temple', -26, 27)],
        p.light,
        'Dots',
        { first: 3, last: 1.4 },
        'none',
      ),
      gem([at('temple', -6, 12)], 4),
    ]),
  },
  fan: {
    words: 'Drops to the bridge',
    what: 'five drops that lead between the brows',
    on: 'face',
    make: made(({ mid, line, dots, gem, palette: p }) => [
      line('teardrop', [mid('nasion', 0, -46), mid('nasion', 0, -22)], p.body, {
        label: 'Middle drop',
        rule: 'none',
        params: { press: 100 },
      }),
      line('teardrop', [mid('nasion', 13, -43), mid('nasion', 13, -30), mid('nasion', 4, -21)], p.accent, {
        label: 'Drop',
        params: { press: 85 },
      }),
      line('teardrop', [mid('nasion', 25, -36), mid('nasion', 21, -25), mid('nasion', 9, -19)], p.body, {
        label: 'Drop',
        params: { press: 70 },
      }),
      dots(
        'row',
        [mid('nasion', 0, -18), mid('nasion', 0, -6)],
        p.light,
        'Dots to the bridge',
        { count: 4, first: 3.4, last: 1.2 },
        'none',
      ),
      gem([mid('nasion', 0, -52)], 6),
    ]),
  },
  stripes: {
    words: 'Stripes',
    what: 'from the sides toward the nose',
    on: 'face',
    make: made(({ at, mid, line, palette: p }) => [
      ...(
        [
          [at('temple', -4, 22), at('browTail', 4, 12), at('outerEye', 5, 8)],
          [at('earFront', -6, 14), at('cheekbone', -6, 2), at('cheekbone', -24, 2)],
          [at('earFront', -9, 32), at('cheekbone', -10, 20), at('cheekbone', -28, 14)],
          [at('earFront', -16, 52), at('cheekbone', -18, 38), at('cheekbone', -30, 27)],
        ] as Point[][]
      ).map((points, i) =>
        line('line', points, p.dark, {
          label: `Stripe ${i + 1}`,
          brush: 'round4',
          params: { press: 80 - 8 * i },
        }),
      ),
      line('line', [mid('hairline', 0, 8), mid('hairline', 0, 34)], p.dark, {
        label: 'Middle stripe',
        rule: 'none',
        brush: 'round4',
        params: { press: 75 },
      }),
      line('line', [mid('hairline', 17, 9), mid('hairline', 14, 24), mid('nasion', 6, -24)], p.dark, {
        label: 'Brow stripe',
        brush: 'round4',
        params: { press: 65 },
      }),
    ]),
  },
  beak: {
    words: 'Beak',
    what: 'over the nose, with a highlight',
    on: 'face',
    make: made(({ at, mid, line, palette: p }) => [
      line('leaf', [mid('nasion', 0, 6), mid('noseBase', 0, -4)], p.accent, {
        label: 'Beak',
        rule: 'none',
        brush: 'filbert8',
        params: { wide: 23, vein: 0 },
      }),
      line(
        'line',
        [mid('nasion', 0, 6), at('noseWing', -9, -24), at('noseWing', -7, -11), mid('noseBase', 0, -4)],
        p.dark,
        { label: 'Edge of the beak', params: { press: 50 } },
      ),
      line('line', [mid('nasion', -2.5, 16), mid('noseTip', -2.5, -3)], p.light, {
        label: 'Highlight',
        rule: 'none',
        params: { press: 40 },
      }),
    ]),
  },
  web: {
    words: 'Web',
    what: 'from the corner of the forehead',
    on: 'face',
    make: made(({ at, line, dots, palette: p }) => [
      line('web', [at('temple', -17, -10), at('browTail', 6, 8), at('browStart', 0, -20)], p.dark, {
        label: 'Web',
        rule: 'none',
        params: { rays: 6, rings: 4, sag: 26, press: 45 },
      }),
      line(
        'line',
        [at('browTail', 2, 2), at('outerEye', 6, 8), at('outerEye', -2, 23), at('outerEye', -4, 34)],
        p.dark,
        { label: 'Thread', rule: 'none', brush: 'round1', params: { press: 30, even: 80 } },
      ),
      dots(
        'row',
        [at('outerEye', -4, 36), at('outerEye', -4, 41)],
        p.dark,
        'Spider',
        { count: 2, first: 5, last: 3 },
        'none',
      ),
    ]),
  },
  bow: {
    words: 'Tie knot',
    what: 'a bow with two tails, between the brows',
    on: 'face',
    make: made(({ mid, line, dots, palette: p }) => [
      line('leaf', [mid('nasion', 1, -26), mid('nasion', 12, -38), mid('nasion', 25, -30)], p.body, {
        label: 'Loop',
        load: { kind: 'double', light: p.light, dark: p.body },
        params: { wide: 15, vein: 0 },
      }),
      line('band', [mid('nasion', 2, -25), mid('nasion', 9, -17), mid('nasion', 15, -8)], p.body, {
        label: 'Tail',
        brush: 'angled10',
        params: { press: 60, ends: 40 },
      }),
      dots(
        'row',
        [mid('nasion', -0.2, -26), mid('nasion', 0.2, -26)],
        p.body,
        'Knot',
        { count: 1, first: 9, last: 9 },
        'none',
      ),
      line('cCurve', [mid('nasion', 5, -29), mid('nasion', 14, -35), mid('nasion', 22, -31)], p.dark, {
        label: 'Fold',
        brush: 'round1',
        params: { press: 60 },
      }),
      dots(
        'row',
        [mid('nasion', -1.5, -28), mid('nasion', -1.3, -28)],
        p.light,
        'Highlight',
        { count: 1, first: 2, last: 2 },
        'none',
      ),
    ]),
  },
} as const satisfies Record<string, Starter>
