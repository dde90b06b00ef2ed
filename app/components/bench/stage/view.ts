import type { Box, Point, Ring } from '#core/geometry'
import { SAME, type Chart } from '#core/skin'

/**
 * How a picture of the skin stands on the stage: k px to the mm, where its origin is, and how it shows the
 * skin.
 */
export interface View {
  k: number
  ox: number
  oy: number
  front: Chart
}

export function toScreen({ k, ox, oy, front }: View, at: Point): Point {
  const [x, y] = front.point(at)
  return [ox + k * x, oy + k * y]
}
/** A point of the stage in the picture's plane, mm. */
export const toPicture = ({ k, ox, oy }: View, [x, y]: Point): Point => [(x - ox) / k, (y - oy) / k]
/** The skin point under a point of the stage; null where there is none. */
export const toSkin = (view: View, at: Point): Point | null => view.front.back(toPicture(view, at))

/** Adds a ring of the skin to a canvas path. */
export function trace(
  c: CanvasRenderingContext2D,
  skin: Ring,
  { k, ox, oy, front }: View,
  closed = true,
): void {
  const ring = front.ring(skin)
  c.moveTo(ox + k * ring[0]!, oy + k * ring[1]!)
  for (let i = 2; i < ring.length; i += 2) c.lineTo(ox + k * ring[i]!, oy + k * ring[i + 1]!)
  if (closed) c.closePath()
}

/** The view that shows a whole picture between the rulers of a stage. */
export function wholePicture(
  width: number,
  height: number,
  ruler: number,
  box: Readonly<Box>,
  front: Chart = SAME,
): View {
  const w = box.maxX - box.minX
  const h = box.maxY - box.minY
  const k = Math.min((width - ruler) / w, (height - ruler) / h)
  return {
    k,
    ox: ruler + (width - ruler - k * w) / 2 - k * box.minX,
    oy: ruler + (height - ruler - k * h) / 2 - k * box.minY,
    front,
  }
}

/** Pixels to the mm of the whole picture in a view: as fine as the screen shows, in quarters, at most 6. */
export const finenessOf = ({ k }: Pick<View, 'k'>, devicePixels: number): number =>
  Math.min(6, Math.max(1, Math.round(k * Math.min(2, devicePixels) * 4) / 4))

/** What is seen from near is painted no finer than this, px/mm. */
const NEAREST = 12
/** From so much finer on than the whole picture is a part of it painted by itself, px/mm. */
const FINER = 0.5
/** What is seen is taken in whole steps of so many mm: small moves ask for nothing new. */
const STEP_MM = 10
/**
 * So far past what is seen it is painted, mm: an edge or a blend that is cut off ends otherwise than one that
 * goes on, as far as the softest edge reaches.
 */
const MARGIN_MM = 14

/** A whole picture's plane, mm, and the fineness of a painting of it, px/mm. */
interface Whole {
  readonly box: Readonly<Box>
  readonly fineness: number
}

/** A part of the whole picture that is to be painted by itself: finer than that, or sooner. */
export interface Near {
  readonly fineness: number
  /** What is shown of it, mm. */
  readonly seen: Box
  /** What is painted, mm: more than is shown; it begins where a pixel of the whole plane would begin. */
  readonly painted: Box
}

/**
 * What a view shows from near; null when the whole picture is as fine as it.
 * @param size of the stage, px
 * @param whole the whole picture as it stands beneath
 */
export function nearOf(
  { k, ox, oy }: Pick<View, 'k' | 'ox' | 'oy'>,
  [width, height]: readonly [number, number],
  whole: Whole,
  devicePixels: number,
): Near | null {
  const fineness = Math.min(NEAREST, Math.round(k * Math.min(2, devicePixels) * 2) / 2)
  if (fineness < whole.fineness + FINER) return null
  const seen = seenIn({ k, ox, oy }, [width, height], whole.box)
  return seen && { fineness, seen, painted: withRim(seen, MARGIN_MM, { box: whole.box, fineness }) }
}

/** What a stage shows of a picture's plane, mm, in whole steps; null when that is nothing. */
export function seenIn(
  { k, ox, oy }: Pick<View, 'k' | 'ox' | 'oy'>,
  [width, height]: readonly [number, number],
  box: Readonly<Box>,
): Box | null {
  const seen: Box = {
    minX: Math.max(box.minX, Math.floor(-ox / k / STEP_MM) * STEP_MM),
    minY: Math.max(box.minY, Math.floor(-oy / k / STEP_MM) * STEP_MM),
    maxX: Math.min(box.maxX, Math.ceil((width - ox) / k / STEP_MM) * STEP_MM),
    maxY: Math.min(box.maxY, Math.ceil((height - oy) / k / STEP_MM) * STEP_MM),
  }
  return seen.minX >= seen.maxX || seen.minY >= seen.maxY ? null : seen
}

/** A part of the whole picture with a rim of some mm, between pixels of the whole plane. */
function withRim(part: Readonly<Box>, rim: number, { box, fineness }: Whole): Box {
  const down = (at: number, from: number) => from + Math.floor((at - from) * fineness) / fineness
  const up = (at: number, from: number) => from + Math.ceil((at - from) * fineness) / fineness
  return {
    minX: down(Math.max(box.minX, part.minX - rim), box.minX),
    minY: down(Math.max(box.minY, part.minY - rim), box.minY),
    maxX: up(Math.min(box.maxX, part.maxX + rim), box.minX),
    maxY: up(Math.min(box.maxY, part.maxY + rim), box.minY),
  }
}

/** So much of the width and of the height of what is seen is its middle. */
const MIDDLE = 0.5
/** The middle stands for a moment only: most edges have ended within so many mm. */
const MIDDLE_RIM_MM = 3

/**
 * The middle of what is seen, to be painted before the rest of it.
 * @param seen mm
 */
export function middleOf(seen: Readonly<Box>, whole: Whole): Near {
  const dx = ((1 - MIDDLE) / 2) * (seen.maxX - seen.minX)
  const dy = ((1 - MIDDLE) / 2) * (seen.maxY - seen.minY)
  const middle = { minX: seen.minX + dx, minY: seen.minY + dy, maxX: seen.maxX - dx, maxY: seen.maxY - dy }
  const part = withRim(middle, 0, whole)
  return { fineness: whole.fineness, seen: part, painted: withRim(part, MIDDLE_RIM_MM, whole) }
}

/** Whether a near picture still serves a wish: as fine, and all that is seen is in it. */
export const serves = (has: Near, wish: Near): boolean =>
  has.fineness === wish.fineness &&
  has.seen.minX <= wish.seen.minX &&
  has.seen.minY <= wish.seen.minY &&
  has.seen.maxX >= wish.seen.maxX &&
  has.seen.maxY >= wish.seen.maxY

/** The view zoomed by a factor about a point of the stage, between 1 and 6 times the whole head. */
export function zoomed(view: View, base: View, factor: number, [sx, sy]: Point): View {
  const k = Math.min(base.k * 6, Math.max(base.k, view.k * factor))
  if (k === base.k) return base
  const [x, y] = toPicture(view, [sx, sy])
  return { ...view, k, ox: sx - k * x, oy: sy - k * y }
}
