import { made, type Starter } from './setting'

/** Masks, ears, muzzles and crowns of a face. */
export const MASKS = {
  mask: {
    words: 'Mask outline',
    what: 'over the brows and under the eyes',
    on: 'face',
    make: made(({ at, mid, line, dots, palette: p }) => [
      line(
        'line',
        [
          mid('nasion', 0, -20),
          at('browStart', 6, -12),
          at('browPeak', 0, -14),
          at('browTail', 6, -14),
          at('browTail', 15, -20),
        ],
        p.dark,
        { label: 'Mask, upper edge', params: { press: 60 } },
      ),
      line(
        'line',
        [
          mid('nasion', 0, 8),
          at('innerEye', 1, 13),
          at('pupil', 2, 19),
          at('outerEye', 6, 13),
          at('browTail', 14, -4),
          at('browTail', 15, -20),
        ],
        p.dark,
        { label: 'Mask, lower edge', params: { press: 60 } },
      ),
      dots('row', [at('browTail', 17, -22), at('browTail', 20, -33)], p.light, 'Dots at the corner', {
        count: 4,
        first: 3.6,
        last: 1.4,
      }),
    ]),
  },
  ears: {
    words: 'Ears',
    what: 'on the forehead, over the brows',
    on: 'face',
    make: made(({ over, mid, line, palette: p }) => [
      line('petals', [over(-6, 0.3), over(-5, 0.3)], p.body, {
        label: 'Ear, inside',
        brush: 'flat19',
        params: { count: 1, length: 18, wide: 12, lean: 12 },
      }),
      line('line', [over(-16, 0.22), over(-12, 0.48), over(-2, 0.76)], p.dark, {
        label: 'Ear, inner edge',
        params: { press: 65 },
      }),
      line('line', [over(-2, 0.76), over(7, 0.5), over(9, 0.16)], p.dark, {
        label: 'Ear, outer edge',
        params: { press: 65 },
      }),
      line('fur', [over(-14, 0.24), over(-3, 0.17), over(8, 0.18)], p.light, {
        label: 'Fur in the ear',
        params: { count: 11, length: 8, lean: 8, press: 35 },
      }),
      line('fur', [mid('hairline', -8, 17), mid('hairline', 0, 14), mid('hairline', 8, 17)], p.light, {
        label: 'Tuft between the ears',
        rule: 'none',
        params: { count: 11, length: 9, lean: 0, press: 40 },
      }),
    ]),
  },
  muzzle: {
    words: 'Muzzle and nose',
    what: 'nose, mouth line, whisker dots and whiskers',
    on: 'face',
    make: made(({ at, mid, line, dots, palette: p }) => [
      line('leaf', [mid('noseBase', 0, -4), mid('noseTip', 0, -11)], p.dark, {
        label: 'Nose',
        rule: 'none',
        brush: 'filbert8',
        params: { wide: 19, vein: 0 },
      }),
      line('line', [mid('noseBase', 0, 0), mid('upperLip', 0, 0)], p.dark, {
        label: 'Line under the nose',
        rule: 'none',
        params: { press: 55, even: 60 },
      }),
      line(
        'line',
        [
          mid('upperLip', 0, -2.5),
          at('mouthCorner', -12, -6),
          at('mouthCorner', 3, -4),
          at('mouthCorner', 10, -11),
        ],
        p.dark,
        { label: 'Mouth line', params: { press: 45 } },
      ),
      dots('cluster', [at('mouthCorner', -8, -14), at('mouthCorner', -1, -14)], p.dark, 'Whisker dots', {
        count: 6,
        first: 1.9,
        last: 1.2,
      }),
      line('whiskers', [at('mouthCorner', 2, -15), at('mouthCorner', 44, -22)], p.light, {
        label: 'Whiskers',
        params: { count: 3, fan: 26, gap: 4.5, bow: 4, press: 45 },
      }),
    ]),
  },
  crown: {
    words: 'Crown of scallops',
    what: 'round the forehead, with drops and dots',
    on: 'face',
    make: made(({ at, mid, line, dots, gem, palette: p }) => [
      line('scallops', [at('browTail', 2, -18), at('browPeak', 0, -25), mid('hairline', 0, 28)], p.accent, {
        label: 'Scallops',
        params: { count: 4, height: 8, press: 55 },
      }),
      line('petals', [at('browTail', 0, -27), at('browPeak', -2, -34), mid('hairline', 8, 20)], p.light, {
        label: 'Drops above',
        params: { count: 4, length: 9, wide: 4, lean: -8 },
      }),
      line('teardrop', [mid('hairline', 0, 5), mid('hairline', 0, 24)], p.accent, {
        label: 'Middle drop',
        rule: 'none',
        params: { press: 100 },
      }),
      dots(
        'row',
        [at('browTail', 3, -14), at('browPeak', 2, -20), mid('hairline', 5, 33)],
        p.light,
        'Dots below',
        { count: 9, first: 1.6, last: 2.8 },
      ),
      gem([mid('hairline', 0, 31)], 6),
    ]),
  },
  swoops: {
    words: 'Side swoops',
    what: 'from the temple round the cheekbone',
    on: 'face',
    make: made(({ at, line, dots, palette: p }) => [
      line(
        'band',
        [at('browTail', 1, -14), at('browTail', 8, 2), at('cheekbone', -2, -4), at('cheekbone', -22, 11)],
        p.body,
        {
          label: 'Swoop',
          load: { kind: 'double', light: p.light, dark: p.body },
          dark: 'left',
          brush: 'flat13',
          params: { press: 85, ends: 80 },
        },
      ),
      line('swirl', [at('cheekbone', 1, 20), at('cheekbone', 8, 20), at('cheekbone', -26, 24)], p.dark, {
        label: 'Swirl below',
        params: { turns: 1.3, shrink: 22, press: 55 },
      }),
      line(
        'line',
        [at('browTail', -6, -9), at('browTail', 2, 4), at('outerEye', 6, 9), at('pupil', 6, 19)],
        p.dark,
        { label: 'Inner line', params: { press: 45 } },
      ),
      dots('row', [at('cheekbone', -28, 20), at('cheekbone', -40, 14)], p.light, 'Dots', {
        count: 4,
        first: 3.2,
        last: 1.2,
      }),
    ]),
  },
} as const satisfies Record<string, Starter>
