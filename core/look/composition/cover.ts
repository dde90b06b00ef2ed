import {
  boxAround,
  boxOf,
  boxesMeet,
  clockwise,
  difference,
  distanceBetween,
  intersection,
  polygonArea,
  regionOf,
  type Box,
  type Point,
  type Polygon,
  type Ring,
} from '../../geometry'
import { layOn, type Placement } from '../../skin'
import type { Stencil } from '../../stencil'
import { isSparkle, kindOf, printedRings, type Step, type World, stepPrints } from '../kinds'

/** Area of a region, mm2. */
export const areaOf = (region: readonly Polygon[]): number =>
  region.reduce((sum, p) => sum + polygonArea(p), 0)

/** The part of the skin that a step covers. Everything in skin coordinates, mm. */
export interface Cover {
  /** All of it. */
  readonly region: readonly Polygon[]
  /** What of a region it covers. */
  readonly within: (region: readonly Polygon[]) => Polygon[]
  /** How much of a region it covers, mm2. */
  readonly area: (region: readonly Polygon[]) => number
  /** How far it stays from a region, mm: 0 where they meet, infinite when one of them is empty. */
  readonly distanceTo: (region: readonly Polygon[]) => number
}

/**
 * The rings of each film or thing that a step lays, and those inside which nothing of it lies; the shade that
 * a gem throws is no part of it.
 */
function laidRings(step: Step, world: World): { rings: (readonly Ring[])[]; free: readonly Ring[] } {
  const prints = stepPrints(step, { ...world, flat: true }).filter(p => !p.works)
  const gems = prints.filter(p => p.particles?.kind === 'gem')
  return {
    rings: (gems.length ? gems : prints).map(p =>
      p.only ? printedRings({ ...p, free: [] }) : clockwise(p.rings),
    ),
    free: prints[0]?.free ?? [],
  }
}

/** What a step leaves free by itself; what is strewn over the print of another leaves free what that does. */
function keptFree(step: Step, world: World): Ring[] {
  const hosts = isSparkle(step)
    ? kindOf(step)
        .follows(step)
        // Hosts are steps of the look: rooms below this one only know what all steps have in common.
        .flatMap(id => (world.host?.(id, step.id)?.step as Step | undefined) ?? [])
    : []
  return [step, ...hosts].flatMap(s => kindOf(s).keepsFree(s, world.ground))
}

/**
 * What a step covers: the areas of its prints, bases, strokes, glitter and gems, and its twin's, clipped and
 * not sampled. This is the one place that answers which mm2 of a region a step covers.
 */
export function coverOf(step: Step, world: World): Cover {
  const made = laidRings(step, world)
  const laid = made.rings.map(rings => rings.map(ring => ({ ring, box: boxOf(ring) })))
  const free = [...keptFree(step, world), ...made.free]
  /**
   * Only rings near the region are clipped: a texture has thousands. A hole lies within its outer ring, so
   * both are dropped together or the hole alone.
   */
  const near = (box: Readonly<Box>) =>
    laid.flatMap(rings => {
      const list = rings.filter(r => boxesMeet(r.box, box)).map(r => r.ring)
      return list.length ? regionOf(list, 'nonzero') : []
    })
  const without = (region: Polygon[]): Polygon[] =>
    region.length && free.length ? difference(region, regionOf(free, 'nonzero')) : region
  let whole: Polygon[] | null = null
  const within = (region: readonly Polygon[]): Polygon[] => {
    if (region.length === 0) return []
    const own = near(boxAround(region))
    return own.length ? without(intersection(own, region)) : []
  }
  const cover: Cover = {
    get region() {
      return (whole ??= without(
        regionOf(
          near({ minX: -Infinity, minY: -Infinity, maxX: Infinity, maxY: Infinity }).flatMap(p => [
            p.outer,
            ...p.holes,
          ]),
          'nonzero',
        ),
      ))
    },
    within,
    area: region => areaOf(within(region)),
    distanceTo: region => (within(region).length ? 0 : distanceBetween(cover.region, region)),
  }
  return cover
}

/**
 * Less of a region than this is a touch of the edge and not a cover, mm2 (common practice: a brush's thinnest
 * line over half a millimetre).
 */
export const TOUCH = 0.5

/**
 * The openings of a sheet that cover some of a region where it lies.
 * @param numbers the openings that are painted
 * @param least mm2 of the region that an opening must cover to count
 */
export function openingsOver(
  sheet: Stencil,
  placement: Placement,
  numbers: Iterable<number>,
  region: readonly Polygon[],
  { ground }: Pick<World, 'ground'>,
  least = TOUCH,
): number[] {
  if (region.length === 0) return []
  const laid = layOn(ground.surface, placement)
  const box = boxAround(region)
  const found: number[] = []
  const reach = Math.hypot(box.maxX - box.minX, box.maxY - box.minY)
  for (const n of numbers) {
    const opening = sheet.openings[n]
    if (!opening) continue
    const own = boxOf(opening.outer)
    const [x, y]: Point = laid.point([(own.minX + own.maxX) / 2, (own.minY + own.maxY) / 2])
    const far = Math.hypot(own.maxX - own.minX, own.maxY - own.minY) + reach
    // Far from the region an opening need not be laid point by point; on steep skin it looks smaller, never
    // larger.
    if (Math.abs(x - (box.minX + box.maxX) / 2) > far || Math.abs(y - (box.minY + box.maxY) / 2) > far)
      continue
    const rings = [opening.outer, ...opening.holes].map(laid.ring)
    if (boxesMeet(boxOf(rings[0]!), box) && areaOf(intersection(regionOf(rings, 'nonzero'), region)) > least)
      found.push(n)
  }
  return found
}
