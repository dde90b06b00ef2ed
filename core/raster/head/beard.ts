import { difference, regionOf, union, type Polygon } from '../../geometry'
import { linearOf, mixLinear } from '../../paint/colour'
import { lipRings } from '../../skin/zones'
import type { Ground } from '../../skin/grounds'
import { noise, smoothstep } from '../grid'
import type { SkinLayers } from './skinLayers'

/** Hair of the lower face. */
export type Beard = 'stubble' | 'beard'

/** How thick it grows and how soft its border is, mm (common practice). */
const GROWTH = { stubble: { thick: 0.34, soft: 4.5 }, beard: { thick: 0.86, soft: 2.6 } } as const

/** Where a beard grows: jaws, chin and upper lip, without the lips. */
function beardRegion(ground: Ground): Polygon[] {
  const zones = (['left.jaw', 'right.jaw', 'chin', 'muzzle'] as const).flatMap(id => ground.zone(id) ?? [])
  const lips = ground.face ? Object.values(lipRings(ground.face)) : []
  // The muzzle reaches up beside the nose, where no hair grows.
  const [, top] = ground.face?.landmarks.mid.noseBase ?? [0, -Infinity]
  const below = Float64Array.from([-200, top + 3, 200, top + 3, 200, 400, -200, 400])
  const grown = difference(
    union(zones.flatMap(r => regionOf([r], 'nonzero'))),
    lips.flatMap(r => regionOf([r], 'nonzero')),
  )
  return difference(grown, difference(regionOf([HUGE], 'nonzero'), regionOf([below], 'nonzero')))
}
const HUGE = Float64Array.from([-900, -900, 900, -900, 900, 900, -900, 900])

/** Draws stubble or a short beard: fine hairs that run down and outward, and take paint less than skin does. */
export function drawBeard(easel: SkinLayers, ground: Ground, beard: Beard, hairColour: string): void {
  const { thick, soft } = GROWTH[beard]
  const region = beardRegion(ground)
  const rings = region.flatMap(p => [p.outer, ...p.holes])
  if (!rings.length) return
  const mask = easel.shape(rings, soft)
  const base = linearOf(hairColour)
  const lit = mixLinear(base, [0.42, 0.33, 0.25], 0.25)
  easel.each(mask, (p, cover, x, y) => {
    // Along each hair it is nearly one, across from hair to hair it changes.
    const lean = 0.35 * Math.sign(x)
    const strands = noise((x - lean * y) * 2.6, y * 0.32, 21)
    const dots = noise(x * 2.1, y * 2.1, 22)
    const dense =
      beard === 'stubble' ? smoothstep(0.45, 0.75, dots) : 0.55 + 0.45 * smoothstep(0.25, 0.7, strands)
    const a = cover * easel.skin[p]! * (thick * dense + (beard === 'stubble' ? 0.12 : 0.1))
    const c = mixLinear(base, lit, 0.5 * strands)
    for (let k = 0; k < 3; k++) easel.albedo[3 * p + k]! += (c[k]! - easel.albedo[3 * p + k]!) * a
    easel.hair[p]! += (1 - easel.hair[p]!) * a
  })
}
