import type { Point } from '../geometry'
import { onSkin, type Ground, type SideLandmark } from '../skin'
import { dotShape, shapeOf, usualParams, type DotRun, type Params, type ShapeId } from '../stroke'
import type { Source } from './around'
import { freshAround, freshDots, freshGem } from './fill'
import type { DotsStep, GemStep, LineStep, SheetStep, Step } from './kinds'
import { NO_TWIN, type PaintRef, type TwinRule } from './parts'

/** The colours of an arrangement: outlines, highlights, its body and what sets it off. */
export interface Palette {
  readonly dark: PaintRef
  readonly light: PaintRef
  readonly body: PaintRef
  readonly accent: PaintRef
}

/** What an arrangement is made from. */
export interface Setting {
  readonly ground: Ground
  readonly focus: Point
  readonly palette: Palette
  readonly id: () => string
  readonly host: SheetStep | null
  readonly group?: string | null
}

/** A brushwork arrangement that fits itself to the landmarks, to an arm, or around a placed sheet. */
export interface Starter {
  readonly words: string
  readonly what: string
  readonly on: 'face' | 'arm' | 'sheet'
  readonly make: (at: Setting) => Step[]
}

type More = Partial<Pick<LineStep, 'brush' | 'load' | 'dark' | 'label' | 'optional'>> & {
  params?: Params
  rule?: TwinRule
}

/** Strokes, dots and gems in one setting, placed from landmarks; all steps of an arrangement are of one group. */
export function hand({ ground, focus, palette, id, group: given }: Setting) {
  const group = given === undefined ? id() : given
  const face = ground.face
  const { kx, ky } = face?.form ?? { kx: 1, ky: 1 }
  const r = face?.landmarks.right
  const m = face?.landmarks.mid
  const twin = (rule: TwinRule) => ({
    ...NO_TWIN,
    rule,
    about: rule === 'turn' ? ([0, 0] as [number, number]) : null,
    own: null,
  })
  const tenth = (list: readonly Point[]): [number, number][] =>
    list.map(onTo).map(([x, y]) => [Math.round(x * 10) / 10 + 0, Math.round(y * 10) / 10 + 0])
  /** A point drawn in toward the midline until it lies on the skin: small faces are narrower at the temples than they are long. */
  const onTo = ([x, y]: Point): Point => {
    let k = 1
    while (k > 0.5 && !onSkin(ground, [x * k, y])) k -= 0.02
    return [x * k, y]
  }
  return {
    group,
    k: Math.sqrt(kx * ky),
    /** A point from a landmark of the right side, dx counted outward; mm of the mean adult. */
    at: (name: SideLandmark, dx = 0, dy = 0): Point => [r![name][0] + dx * kx, r![name][1] + dy * ky],
    /** A point over the peak of the brow: dx outward from it, and up by a share of the way to the hairline's height. */
    over: (dx: number, share: number): Point => [
      r!.browPeak[0] + dx * kx,
      r!.browPeak[1] + (m!.hairline[1] - r!.browPeak[1]) * share,
    ],
    /** A point beside the midline at a landmark's height. */
    mid: (name: keyof NonNullable<typeof m>, dx = 0, dy = 0): Point => [dx * kx, m![name][1] + dy * ky],
    line(
      shape: ShapeId,
      points: readonly Point[],
      paint: PaintRef,
      { params, rule = 'features', ...more }: More = {},
    ): LineStep {
      const def = shapeOf(shape)
      return {
        kind: 'line',
        id: id(),
        label: def.words[0]!.toUpperCase() + def.words.slice(1),
        optional: false,
        worth: 5,
        twin: twin(rule),
        group,
        shape,
        points: tenth(points),
        params: { ...usualParams(def.params), ...params },
        of: null,
        brush: def.brush,
        load: { kind: 'one', paint },
        dark: 'right',
        ...more,
      }
    },
    dots(
      run: DotRun,
      points: readonly Point[],
      paint: PaintRef,
      label: string,
      params: Params,
      rule: TwinRule = 'features',
    ): DotsStep {
      return {
        ...freshDots(id(), run, points[0]!, null, paint, ground, focus),
        label,
        group,
        points: tenth(points),
        twin: twin(rule),
        params: { ...usualParams(dotShape(run).params), ...params },
      }
    },
    gem(
      points: readonly Point[],
      size: number,
      more: Partial<GemStep> = {},
      rule: TwinRule = 'none',
    ): GemStep {
      return { ...freshGem(id(), points[0]!), group, points: tenth(points), size, twin: twin(rule), ...more }
    },
    palette,
  }
}
type Hand = ReturnType<typeof hand>
const made =
  (draw: (h: Hand, at: Setting) => Step[]) =>
  (at: Setting): Step[] =>
    draw(hand(at), at)

/** Arrangements for the brush; every one is a group of strokes that stay editable. */
export const STARTERS = {
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
  armFrame: {
    words: 'Arm frame',
    what: 'swirls and dots above and below',
    on: 'arm',
    make: made(({ line, dots, palette: p }) => [
      line(
        'swirl',
        [
          [-22, -58],
          [-29, -58],
          [4, -52],
        ],
        p.dark,
        { label: 'Swirl', rule: 'turn', params: { turns: 1.4, press: 60 } },
      ),
      line(
        'swirl',
        [
          [24, -56],
          [30, -56],
          [2, -66],
        ],
        p.accent,
        { label: 'Swirl back', rule: 'turn', params: { turns: 1.2, press: 50 } },
      ),
      dots(
        'row',
        [
          [-14, -66],
          [0, -70],
          [16, -68],
        ],
        p.light,
        'Dots',
        { count: 6, first: 3.4, last: 1.4 },
        'turn',
      ),
      line(
        'teardrop',
        [
          [0, -46],
          [0, -58],
        ],
        p.accent,
        { label: 'Drop', rule: 'turn', params: { press: 80 } },
      ),
    ]),
  },
  frame: {
    words: 'Frame a sheet',
    what: 'an outline and dots round the chosen stencil',
    on: 'sheet',
    make: made(({ palette: p, group }, { host, id, ground, focus }) => {
      if (!host) return []
      const of: Source = { use: 'step', step: host.id, openings: null }
      const outline: LineStep = {
        ...freshAround(id(), 'outline', of, p.dark),
        group,
        params: { press: 35, distance: 1.2 },
      }
      const dots: DotsStep = {
        ...freshDots(id(), 'around', [0, 0], of, p.light, ground, focus),
        group,
        params: { count: 26, first: 2.4, last: 1.2, distance: 5 },
      }
      return [outline, dots]
    }),
  },
} as const satisfies Record<string, Starter>
export type StarterId = keyof typeof STARTERS
export const STARTER_IDS = Object.keys(STARTERS) as StarterId[]
export const starterOf = (id: StarterId): Starter => STARTERS[id]

/** Whether an arrangement suits what is painted on. */
export const suits = (starter: Starter, ground: Ground): boolean =>
  starter.on === 'sheet' || (starter.on === 'face') === (ground.face !== null)
