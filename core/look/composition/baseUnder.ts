import {
  clockwise,
  offset,
  outlineThrough,
  pointsOf,
  polygonArea,
  regionOf,
  ringHolds,
  tenthPoint,
  type Polygon,
  type Ring,
} from '../../geometry'
import { stationsAt } from '../../stroke'
import { NO_TWIN, type PaintRef } from '../document'
import { axisFor, kindOf, washRings, type SheetStep, type Wash, type World } from '../kinds'
import { freshWash } from './fresh'

/** Openings closer together than twice this are covered by one base, mm (common practice). */
const BRIDGED = 9

/** As many handles as an eye takes in at once. */
const HANDLES = 12

/** Handles at even steps round an outline. */
const evenHandles = (ring: Ring): [number, number][] =>
  stationsAt(
    pointsOf(ring),
    Array.from({ length: HANDLES }, (_, i) => i / HANDLES),
    true,
  ).map(s => tenthPoint(s.at))

/** A few even handles cut corners: the base grows by so much more at a time until it holds all of the print, mm. */
const MORE = 1.5
const TRIES = 5

/** Handles of an outline that lies some mm round a print, and holds all of its largest piece. */
function handlesRound(print: readonly Polygon[], grow: number): [number, number][] {
  const closed = offset(print, BRIDGED)
  for (let n = 0; n < TRIES; n++) {
    const [largest] = offset(closed, grow + n * MORE - BRIDGED).sort(
      (a, b) => polygonArea(b) - polygonArea(a),
    )
    if (!largest) return []
    const points = evenHandles(largest.outer)
    const [whole] = offset(closed, -BRIDGED).sort((a, b) => polygonArea(b) - polygonArea(a))
    const outline = Float64Array.from(outlineThrough(points))
    if (!whole || pointsOf(whole.outer).every(p => ringHolds(outline, ...p))) return points
    if (n === TRIES - 1) return points
  }
  return []
}

/**
 * The base that belongs beneath a sheet where it lies: the outline of its print, grown, in one piece, with the
 * sheet's twin. It moves with the sheet. Null when the sheet prints nothing.
 * @param grow how far past the print it goes, mm
 */
export function baseUnder(
  step: SheetStep,
  id: string,
  colours: PaintRef[],
  grow: number,
  world: World,
): Wash | null {
  const own = { ...step, twin: { ...NO_TWIN } }
  const rings = kindOf(own).contour(own, { ...world, flat: true }, null)
  const print = regionOf(clockwise(rings), 'nonzero')
  const points = handlesRound(print, grow)
  if (points.length < 3) return null
  const label = `Base under ${step.label}`.slice(0, 60)
  const fresh = freshWash(id, label, ['forehead'], colours, world.ground)
  const wash: Wash = {
    ...fresh,
    zones: [],
    points,
    twin: { ...NO_TWIN, rule: step.twin.rule, about: step.twin.about, own: null },
    rides: step.id,
  }
  return { ...wash, axis: axisFor(washRings({ ...wash, twin: { ...NO_TWIN, own: null } }, world.ground)) }
}
