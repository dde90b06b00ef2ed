import { pointsOf, ringOf, type Point, type Ring } from '../../geometry'
import { discAt, layOn, onSkin, plainZone, zoneAt, type Ground, type Placement } from '../../skin'
import { fitsFor, type Candidate, type Fit, type Stencil } from '../../stencil'

/**
 * The best smaller sheet of the drawer for the spot on which a sheet lies: of its kind where there is one.
 */
export function smallerSheet(
  sheet: Stencil,
  placement: Placement,
  ground: Ground,
  focus: Point,
  drawer: readonly Candidate[],
): Fit | null {
  const at = layOn(ground.surface, placement).point([0, 0])
  const zone = zoneAt(ground, at)
  const size = sheet.width * sheet.height
  const radius = Math.max(12, Math.min(sheet.width, sheet.height) / 2)
  const list = drawer.filter(
    c =>
      c.width * c.height < 0.92 * size && Math.max(c.width, c.height) <= Math.max(sheet.width, sheet.height),
  )
  if (list.length === 0) return null
  const disc = discAt(at, radius)
  const inside = clippedToSkin(disc, ground)
  const even = Math.abs(at[0]) < 3
  const fits = fitsFor(
    { ring: inside, even, keepOuts: ground.keepOuts, focus, zone: zone && plainZone(zone) },
    list,
  )
  const kind = (s: Fit) => list.find(c => c.id === s.id)!.kind === sheet.kind
  return fits.find(s => kind(s) && s.score > 0.25) ?? fits.find(s => s.score > 0.25) ?? null
}

/**
 * A disc without the points that lie beside the skin: they are drawn in toward its middle until they lie on
 * it.
 */
function clippedToSkin(disc: Ring, ground: Ground): Ring {
  const points = pointsOf(disc)
  const middle: Point = [
    points.reduce((s, p) => s + p[0], 0) / points.length,
    points.reduce((s, p) => s + p[1], 0) / points.length,
  ]
  return ringOf(
    points.map((p): Point => {
      for (let k = 1; k > 0.1; k -= 0.06) {
        const q: Point = [middle[0] + (p[0] - middle[0]) * k, middle[1] + (p[1] - middle[1]) * k]
        if (onSkin(ground, q)) return q
      }
      return middle
    }),
  )
}
