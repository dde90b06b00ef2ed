import {
  boxesMeet,
  boxOf,
  difference,
  intersection,
  regionOf,
  ringCentroid,
  ringHolds,
  union,
  type Polygon,
  type Ring,
} from '../../geometry'
import { layOn, type Ground } from '../../skin'
import type { Fit, Stencil } from '../../stencil'
import { areaOf, TOUCH } from './cover'

/**
 * More of a print than this beside its spot, or off the skin, makes it no proposal, as a share (common
 * practice).
 */
const BESIDE = 0.35
const OFF = 0.02
/** Of a texture each opening may touch what must stay free by less than this, as many may, mm2. */
const SLIGHT = 0.02

const regionFromRing = (ring: Ring): Polygon[] => regionOf([ring], 'nonzero')

/**
 * A fit as it can be proposed: laid on the skin itself, not on its picture. Of a texture only the openings
 * stay that lie on the spot, on skin, and on no eye, nostril, mouth or hair; any other sheet must do so as a
 * whole.
 * @param ring the spot, skin mm
 * @returns null when it is no proposal
 */
export function proposedFit(fit: Fit, sheet: Stencil, ring: Ring, ground: Ground): Fit | null {
  const laid = layOn(ground.surface, fit)
  const skin = union(ground.extent.flatMap(regionFromRing))
  const kept = union(ground.keepOuts.flatMap(k => regionFromRing(k.ring)))
  const boxes = kept.map(p => boxOf(p.outer))
  const numbers = fit.openings ?? sheet.openings.map((_, n) => n)
  const opened = numbers.flatMap(n => {
    const o = sheet.openings[n]
    if (!o) return []
    const rings = [o.outer, ...o.holes].map(laid.ring)
    const region = regionOf(rings, 'nonzero')
    const box = boxOf(rings[0]!)
    const over = boxes.some(b => boxesMeet(b, box)) ? areaOf(intersection(region, kept)) : 0
    // Points that all lie on the skin enclose nothing off it, as skin has no holes.
    const onSkin = rings[0]!.every(
      (_, i) => i % 2 === 1 || ground.extent.some(e => ringHolds(e, rings[0]![i]!, rings[0]![i + 1]!)),
    )
    return [
      {
        n,
        area: areaOf(region),
        over,
        off: onSkin ? 0 : areaOf(difference(region, skin)),
        inside: ringHolds(ring, ...ringCentroid(rings[0]!)),
      },
    ]
  })
  if (sheet.kind === 'texture') {
    const openings = opened.filter(o => o.inside && o.over <= SLIGHT && o.off <= OFF * o.area).map(o => o.n)
    if (openings.length === 0) return null
    if (openings.length === sheet.openings.length) return { ...fit, openings: null }
    const told = `dab only the ${openings.length} of ${sheet.openings.length} openings inside`
    return {
      ...fit,
      openings,
      reasons: [
        told,
        ...fit.reasons.filter(r => !/^dab only|of its openings lie inside$|would fall on/.test(r)),
      ],
    }
  }
  const total = opened.reduce((sum, o) => sum + o.area, 0)
  const sum = (of: (o: (typeof opened)[number]) => number) => opened.reduce((s, o) => s + of(o), 0)
  const asAWhole =
    total > 0 &&
    sum(o => o.over) <= TOUCH &&
    sum(o => o.off) <= OFF * total &&
    sum(o => (o.inside ? 0 : o.area)) <= BESIDE * total
  return asAWhole ? fit : null
}
