import { offset, regionOf, union, type Polygon, type Ring } from '../geometry'
import type { Ground, KeptKind, KeptPart, ZoneId } from '../skin'

/** Chunky glitter, glue and gems keep this far from an eye, mm (common practice). */
export const EYE_CLEARANCE = 8

/**
 * The places of a face about which there are cautions, as regions of the skin (mm); all empty on an arm and
 * on paper.
 */
export interface Regions {
  /** The openings of both eyes, also where the lids are down over them. */
  readonly eyes: readonly Polygon[]
  /** The same while they are open; empty when the person keeps them shut. */
  readonly openEyes: readonly Polygon[]
  /** All skin that is nearer to an eye than gems and glue may come. */
  readonly aroundEyes: readonly Polygon[]
  /** Lids, under-eyes and the eyes between them: what a label means by "near the eyes". */
  readonly nearEyes: readonly Polygon[]
  readonly lids: readonly Polygon[]
  readonly lips: readonly Polygon[]
  readonly nostrils: readonly Polygon[]
  readonly hair: readonly Polygon[]
  readonly brows: readonly Polygon[]
  /** Where the skin folds: the forehead above the brows, and beside the mouth. */
  readonly forehead: readonly Polygon[]
  readonly smile: readonly Polygon[]
  /** Each of the open eyes and nostrils, and the mouth, by its own name. */
  readonly named: readonly (KeptPart & { readonly region: readonly Polygon[] })[]
}

const NONE: Regions = {
  eyes: [],
  openEyes: [],
  aroundEyes: [],
  nearEyes: [],
  lids: [],
  lips: [],
  nostrils: [],
  hair: [],
  brows: [],
  forehead: [],
  smile: [],
  named: [],
}
/** Rings run either way round: each is made a region of its own before they are joined. */
const joined = (rings: readonly Ring[]): Polygon[] => union(rings.flatMap(r => regionOf([r], 'nonzero')))

/** Works the places of a ground out; on paper nothing is near an eye. */
export function regionsOf(ground: Ground): Regions {
  if (!ground.face || ground.kind === 'board') return NONE
  const kept = (kind: KeptKind) => joined(ground.keepOuts.filter(k => k.kind === kind).map(k => k.ring))
  const zones = (ids: readonly ZoneId[]) => joined(ids.flatMap(id => ground.zone(id) ?? []))
  const eyes = kept('eye')
  const lids = zones(['left.lid', 'right.lid'])
  return {
    eyes,
    openEyes: ground.eyesClosed ? [] : eyes,
    aroundEyes: offset(eyes, EYE_CLEARANCE),
    nearEyes: union([...eyes, ...lids, ...zones(['left.under-eye', 'right.under-eye'])]),
    lids,
    lips: kept('mouth'),
    nostrils: kept('nostril'),
    hair: kept('hair'),
    brows: zones(['left.brow', 'right.brow']),
    forehead: zones(['forehead']),
    smile: zones(['muzzle', 'left.jaw', 'right.jaw']),
    named: ground.keepOuts
      .filter(k => k.kind !== 'hair' && !(ground.eyesClosed && k.kind === 'eye'))
      .map(k => ({ kind: k.kind, side: k.side, region: joined([k.ring]) })),
  }
}
