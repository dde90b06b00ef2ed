import type { Point } from '#core/geometry'
import { HEAD_BOX } from '#core/raster'

/** How the skin frame stands on the stage: k px to the mm, and where the skin's origin is. */
export interface View { k: number, ox: number, oy: number }

export const toScreen = ({ k, ox, oy }: View, [x, y]: Point): Point => [ox + k * x, oy + k * y]
export const toSkin = ({ k, ox, oy }: View, [x, y]: Point): Point => [(x - ox) / k, (y - oy) / k]

/** The view that shows the whole head between the rulers of a stage. */
export function wholeHead(width: number, height: number, ruler: number): View {
  const w = HEAD_BOX.maxX - HEAD_BOX.minX, h = HEAD_BOX.maxY - HEAD_BOX.minY
  const k = Math.min((width - ruler) / w, (height - ruler) / h)
  return { k, ox: ruler + (width - ruler - k * w) / 2 - k * HEAD_BOX.minX, oy: ruler + (height - ruler - k * h) / 2 - k * HEAD_BOX.minY }
}

/** The view zoomed by a factor about a point of the stage, between 1 and 6 times the whole head. */
export function zoomed(view: View, base: View, factor: number, [sx, sy]: Point): View {
  const k = Math.min(base.k * 6, Math.max(base.k, view.k * factor))
  if (k === base.k) return base
  const [x, y] = toSkin(view, [sx, sy])
  return { k, ox: sx - k * x, oy: sy - k * y }
}
