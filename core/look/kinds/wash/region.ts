import {
  boxesMeet,
  boxOf,
  difference,
  offset,
  outlineThrough,
  pointsOf,
  polygonArea,
  regionOf,
  ringHolds,
  ringOf,
  ringsOf,
  signedArea,
  simplified,
  tenthPoint,
  type Point,
  type Polygon,
  type Ring,
} from '../../../geometry'
import type { Ground } from '../../../skin'
import { liesOf } from '../../placement'
import { toldFree } from '../leftFree'
import type { Wash } from './schema'

/** What says where a base goes. */
export type WashPlace = Pick<Wash, 'zones' | 'points' | 'straight' | 'twin' | 'free' | 'holes'> &
  Partial<Pick<Wash, 'gapless'>>

/** The outline that handles draw. */
const outlineOf = (points: readonly Point[], straight: boolean): Ring =>
  straight
    ? ringOf(points)
    : Float64Array.from(outlineThrough(points, Math.max(2, Math.min(10, Math.round(240 / points.length)))))

// Rings run either way round; each is made a region of its own before they are joined.
const joined = (rings: readonly Ring[]): Ring[] =>
  regionOf(
    rings.flatMap(r => regionOf([r], 'nonzero').map(p => p.outer)),
    'nonzero',
  ).flatMap(p => [p.outer, ...p.holes])

/** Half the widest gap between two zones that a sponge goes over without noticing, mm (common practice). */
const GAP = 3

/** Zones that all but touch, joined where a sponge that goes over both leaves no gap. */
function closedUp(rings: Ring[], gapless: boolean): Ring[] {
  if (!gapless || rings.length < 2) return rings
  const region = regionOf(rings, 'nonzero')
  return ringsOf(offset(offset(region, GAP), -GAP))
}

/**
 * The outlines of each side of a base: of its zones, joined where they touch, or the drawn one and its
 * twin's.
 */
export const outlinesOf = (wash: WashPlace, ground: Ground): Ring[][] =>
  wash.points.length
    ? liesOf(wash, ground).map(l => joined([outlineOf(l.points, wash.straight)]))
    : [closedUp(joined(wash.zones.flatMap(id => ground.zone(id) ?? [])), wash.gapless ?? false)]

const meets = (rings: readonly Ring[], kept: Ring): boolean =>
  rings.some(r => boxesMeet(boxOf(r), boxOf(kept)) && pointsOf(kept).some(p => ringHolds(r, ...p)))

/**
 * The mouth of a face where a base would run over it. Lips are painted by themselves, with what is safe
 * there; only a base that names them covers them.
 */
export function lipsUnder(rings: readonly Ring[], wash: WashPlace, ground: Ground): Ring | null {
  const mouth = wash.zones.includes('lips') ? undefined : ground.keepOuts.find(k => k.kind === 'mouth')?.ring
  return mouth && meets(rings, mouth) ? mouth : null
}

/** What of a base's region stays unpainted: lips that it does not name, and what it is told to leave free. */
function leftFree(rings: readonly Ring[], wash: WashPlace, ground: Ground): Polygon[] {
  const lips = lipsUnder(rings, wash, ground)
  return [...(lips ? regionOf([lips], 'nonzero') : []), ...toldFree(wash, ground)]
}

function beside(rings: Ring[], wash: WashPlace, ground: Ground): Ring[] {
  const free = leftFree(rings, wash, ground)
  return free.length
    ? difference(regionOf(rings, 'nonzero'), free).flatMap(p => [p.outer, ...p.holes])
    : rings
}

/** What each side of a base covers: lips stay free unless it names them, and what else it leaves free. */
export const washSides = (wash: WashPlace, ground: Ground): Ring[][] =>
  outlinesOf(wash, ground).map(rings => beside(rings, wash, ground))

/** All that a base covers, each place once. */
export const washRings = (wash: WashPlace, ground: Ground): Ring[] => {
  const sides = outlinesOf(wash, ground)
  return beside(sides.length > 1 ? joined(sides.flat()) : sides[0]!, wash, ground)
}

/** Few handles that draw about the largest piece of some rings, for an outline to go on from. */
export function handlesAround(rings: readonly Ring[]): [number, number][] {
  const largest = rings.reduce<Ring | null>(
    (best, r) => (!best || Math.abs(signedArea(r)) > Math.abs(signedArea(best)) ? r : best),
    null,
  )
  if (!largest) return []
  let few = largest
  for (let off = 0.5; few.length > 2 * FEW && off < 8; off *= 1.3) few = simplified(largest, off)
  return pointsOf(few).map(tenthPoint)
}
/** A hand can keep an eye on as many handles. */
const FEW = 16

/** What a base covers, mm2. */
export const washArea = (wash: Wash, ground: Ground): number =>
  regionOf(washRings(wash, ground), 'nonzero').reduce((a, p) => a + polygonArea(p), 0)
