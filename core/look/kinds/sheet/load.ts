import { boxAround, radians, type Point } from '../../../geometry'
import type { Laid } from '../../../skin'
import type { Stencil } from '../../../stencil'
import type { PaintRef } from '../../document'
import type { PaintPlace } from '../kind'
import { cakeAsPaint, cakeStrips, laidPaint } from '../paints'
import type { Axis, Print } from '../print'
import { toolIn, type World } from '../world'
import type { Pass } from './schema'

/** Where in a load each of its paints is named. */
export function loadPlaces(load: Pass['load']): PaintPlace[] {
  switch (load.kind) {
    case 'one':
      return [{ path: ['paint'], ref: load.paint }]
    case 'over':
      return [
        { path: ['first'], ref: load.first },
        { path: ['second'], ref: load.second },
        ...(load.more ?? []).map((ref, i) => ({ path: ['more', i], ref })),
      ]
    case 'cake':
      return [{ path: ['cake'], ref: load.cake }]
  }
}

/** The paints that a load takes up. */
export const loadPaints = (load: Pass['load']): PaintRef[] =>
  load.kind === 'cake' ? [cakeAsPaint(load.cake)] : loadPlaces(load).map(place => place.ref)

/** A load in words. */
export const loadWords = (load: Pass['load']): string =>
  load.kind === 'one'
    ? load.paint.name
    : load.kind === 'cake'
      ? `${load.cake.name} ${load.bands ? 'in bands of the sponge' : 'across the stencil'}`
      : load.more?.length
        ? [load.first, load.second, ...load.more].map(p => p.name).join(' into ')
        : `${load.first.name} with ${load.second.name} over its end`

/** Some openings of a sheet where it lies. */
interface LaidOpenings {
  readonly laid: Laid
  readonly numbers: readonly number[]
}

/** Along what the colours of a pass run: as its load lies on the sheet, unless it was dragged on the face. */
function axisOf(
  { load, tool, axis }: Pass,
  sheet: Stencil,
  { laid, numbers }: LaidOpenings,
  turned: ((p: Point) => Point) | null,
  across: ((p: Point) => Point) | null,
  world: World,
): Axis | null {
  const every = load.kind === 'cake' && load.bands ? toolIn(world, tool).tip : undefined
  const map = across ?? ((p: Point) => p)
  if (axis?.kind === 'out') return { ...axis, from: map(axis.from) }
  if (axis) return { kind: 'line', from: map(axis.from), to: map(axis.to), every: every ?? axis.every }
  if (load.kind === 'one') return null
  const b = boxAround(numbers.map(n => sheet.openings[n]!))
  const middle: Point = [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]
  const onSkin = (p: Point) => (turned ?? (q => q))(laid.point(p))
  const c = Math.sin(radians(load.direction))
  const s = -Math.cos(radians(load.direction))
  // The axis is as long as the painted openings are wide that way.
  const half = (Math.abs(c) * (b.maxX - b.minX) + Math.abs(s) * (b.maxY - b.minY)) / 2
  return {
    kind: 'line',
    from: onSkin([middle[0] - c * half, middle[1] - s * half]),
    to: onSkin([middle[0] + c * half, middle[1] + s * half]),
    ...(every && { every }),
  }
}

/**
 * The paints of a pass and how they run over the skin: strips of a cake, or one colour into the other.
 * @param openings from which the way of its colours is read
 * @param turned the map that brings that way to where it is printed; null where it is printed there
 * @param across the map to the twin's side for what is drawn on the skin; null for the sheet itself
 */
export function loadPrint(
  pass: Pass,
  sheet: Stencil,
  openings: LaidOpenings,
  turned: ((p: Point) => Point) | null,
  across: ((p: Point) => Point) | null,
  world: World,
): Pick<Print, 'paints' | 'axis' | 'strips' | 'stops'> {
  const { load } = pass
  const axis = axisOf(pass, sheet, openings, turned, across, world)
  if (load.kind === 'one') return { paints: [laidPaint(load.paint, world)], axis, strips: null }
  if (load.kind === 'over') {
    const paints = loadPaints(load).map(ref => laidPaint(ref, world))
    return { paints, axis, strips: null, stops: load.stops }
  }
  const { paints, ends } = cakeStrips(load.cake, world)
  return { paints, axis, strips: ends }
}
