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

/** Pixels to the mm of the picture of a view: as fine as the screen shows, in quarters, at most 6. */
export const finenessOf = ({ k }: Pick<View, 'k'>, devicePixels: number): number =>
  Math.min(6, Math.max(1, Math.round(k * Math.min(2, devicePixels) * 4) / 4))

/** The view zoomed by a factor about a point of the stage, between 1 and 6 times the whole head. */
export function zoomed(view: View, base: View, factor: number, [sx, sy]: Point): View {
  const k = Math.min(base.k * 6, Math.max(base.k, view.k * factor))
  if (k === base.k) return base
  const [x, y] = toPicture(view, [sx, sy])
  return { ...view, k, ox: sx - k * x, oy: sy - k * y }
}
