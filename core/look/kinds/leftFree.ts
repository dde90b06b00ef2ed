import { offset, regionOf, ringOf, tenthPoint, type Point, type Polygon, type Ring } from '../../geometry'
import type { FreePlace, LeavesFree, Twin } from '../document'
import { twinMap } from '../placement'
import type { Ground, KeptKind } from '../../skin'

/** Room that stays free round an open eye, for the lash line, and round a nostril, mm (common practice). */
const ROOM = { eyes: 1.5, nostrils: 0.4 } as const

const region = (rings: readonly Ring[]): Polygon[] => rings.flatMap(r => regionOf([r], 'nonzero'))

/** One side of the midline, as the painter sees it. */
function half({ box }: Ground, side: -1 | 1): Polygon[] {
  const x = side < 0 ? box.minX - BEYOND : box.maxX + BEYOND
  const corners: Point[] = [
    [0, box.minY - BEYOND],
    [x, box.minY - BEYOND],
    [x, box.maxY + BEYOND],
    [0, box.maxY + BEYOND],
  ]
  return region([ringOf(corners)])
}
/** Nothing is painted farther than this beyond a picture, mm. */
const BEYOND = 50

function placeOf(place: FreePlace, ground: Ground): Polygon[] {
  const kept = (kind: KeptKind, room: number) =>
    offset(region(ground.keepOuts.filter(k => k.kind === kind).map(k => k.ring)), room)
  const zones = (name: 'lid' | 'brow' | 'jaw') =>
    region((['left', 'right'] as const).flatMap(side => ground.zone(`${side}.${name}`) ?? []))
  switch (place) {
    case 'eyes':
      return ground.eyesClosed ? [] : kept('eye', ROOM.eyes)
    case 'nostrils':
      return kept('nostril', ROOM.nostrils)
    case 'lips':
      return kept('mouth', 0)
    case 'lids':
      return zones('lid')
    case 'brows':
      return zones('brow')
    case 'jaw':
      return zones('jaw')
    case 'left half':
      return half(ground, -1)
    case 'right half':
      return half(ground, 1)
  }
}

/**
 * What a step is told to leave free, as regions of the skin. Named places are those of the face, for both sides of
 * the step: "left half" keeps its twin off the left. Drawn shapes count on the twin's side too.
 * @param across the map to the twin's side; by its rule when left out
 */
export function toldFree(
  { free, holes, twin }: LeavesFree & { readonly twin?: Twin },
  ground: Ground,
  across?: ((p: Point) => Point) | null,
): Polygon[] {
  const map = across ?? (twin && twinMap(ground, twin))
  const drawn = (holes ?? []).flatMap(loop => {
    const own = ringOf(loop)
    return map ? [own, ringOf(loop.map(map))] : [own]
  })
  return [...(free ?? []).flatMap(place => placeOf(place, ground)), ...region(drawn)]
}

/** The same as a field of a print: none where nothing is left free; see toldFree. */
export function freeOf(
  step: LeavesFree & { readonly twin?: Twin },
  ground: Ground,
  across?: ((p: Point) => Point) | null,
): { free?: readonly Ring[] } {
  if (!step.free?.length && !step.holes?.length) return {}
  const kept = toldFree(step, ground, across).map(p => p.outer)
  return kept.length ? { free: kept } : {}
}

/** Drawn shapes where a map takes them, to a tenth of a millimetre. */
export const movedLoops = (loops: readonly (readonly Point[])[], map: (p: Point) => Point) =>
  loops.map(loop => loop.map(p => tenthPoint(map(p))))

/** What is left free, in words; empty where nothing is. */
export function freeWords({ free, holes }: LeavesFree): string[] {
  const shapes = holes?.length ?? 0
  const drawn = shapes ? [shapes === 1 ? 'a drawn shape' : `${shapes} drawn shapes`] : []
  return [...(free ?? []), ...drawn]
}
