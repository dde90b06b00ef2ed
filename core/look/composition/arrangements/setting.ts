import { tenthPoint, type Point } from '../../../geometry'
import { onSkin, type Face, type Ground, type SideLandmark } from '../../../skin'
import { dotShape, shapeOf, usualParams, type DotRun, type Params, type ShapeId } from '../../../stroke'
import { NO_TWIN, type PaintRef, type TwinRule } from '../../document'
import type { DotsStep, GemStep, LineStep, SheetStep, Step } from '../../kinds'
import { freshDots, sentenceCase } from '../freshMarks'
import { freshGem } from '../freshSparkle'

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

type More = Partial<
  Pick<
    LineStep,
    'brush' | 'load' | 'dark' | 'label' | 'optional' | 'worth' | 'eyes' | 'fades' | 'pressed' | 'times'
  >
> & {
  params?: Params
  rule?: TwinRule
}

const twinBy = (rule: TwinRule) => ({
  ...NO_TWIN,
  rule,
  about: rule === 'turn' ? ([0, 0] as [number, number]) : null,
  own: null,
})

/** Points from the landmarks of a face, in mm of the mean adult; on an arm there are none. */
function landmarkPoints(face: Face | null) {
  const { kx, ky } = face?.form ?? { kx: 1, ky: 1 }
  const marks = () => {
    if (!face) throw new RangeError('This arrangement is for faces.')
    return face.landmarks
  }
  return {
    /** How large the face is against the mean adult's. */
    k: Math.sqrt(kx * ky),
    /** A point from a landmark of the right side, dx counted outward; mm of the mean adult. */
    at(name: SideLandmark, dx = 0, dy = 0): Point {
      const [x, y] = marks().right[name]
      return [x + dx * kx, y + dy * ky]
    },
    /**
     * A point over the peak of the brow: dx outward from it, and up by a share of the way to the hairline's
     * height.
     */
    over(dx: number, share: number): Point {
      const { right, mid } = marks()
      const [x, y] = right.browPeak
      return [x + dx * kx, y + (mid.hairline[1] - y) * share]
    },
    /** A point beside the midline at a landmark's height. */
    mid(name: keyof Face['landmarks']['mid'], dx = 0, dy = 0): Point {
      return [dx * kx, marks().mid[name][1] + dy * ky]
    },
  }
}

/**
 * Points drawn in toward the midline until they lie on the skin: small faces are narrower at the temples than
 * they are long.
 */
const drawnIn = (ground: Ground, points: readonly Point[]): [number, number][] =>
  points.map(([x, y]) => {
    let k = 1
    while (k > 0.5 && !onSkin(ground, [x * k, y])) k -= 0.02
    return tenthPoint([x * k, y])
  })

/** Makers of strokes, dots and gems of one group. */
function makers({ ground, focus, id }: Setting, group: string | null) {
  return {
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
        label: sentenceCase(def.words),
        optional: false,
        worth: 5,
        twin: twinBy(rule),
        group,
        shape,
        points: drawnIn(ground, points),
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
        points: drawnIn(ground, points),
        twin: twinBy(rule),
        params: { ...usualParams(dotShape(run).params), ...params },
      }
    },
    gem(
      points: readonly Point[],
      size: number,
      more: Partial<GemStep> = {},
      rule: TwinRule = 'none',
    ): GemStep {
      const fresh = freshGem(id(), points[0]!)
      return { ...fresh, group, points: drawnIn(ground, points), size, twin: twinBy(rule), ...more }
    },
  }
}

/**
 * Strokes, dots and gems in one setting, placed from landmarks; all steps of an arrangement are of one group.
 */
export function hand(at: Setting) {
  const group = at.group === undefined ? at.id() : at.group
  return { group, palette: at.palette, ...landmarkPoints(at.ground.face), ...makers(at, group) }
}
type Hand = ReturnType<typeof hand>

/** How an arrangement is made, from what draws it. */
export const made =
  (draw: (h: Hand, at: Setting) => Step[]) =>
  (at: Setting): Step[] =>
    draw(hand(at), at)
