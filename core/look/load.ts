import { boxAround, radians, type Point } from '../geometry'
import { opticsOfColour, opticsOfSwatch } from '../paint'
import type { Laid } from '../skin'
import type { Stencil } from '../stencil'
import type { LaidPaint, Pass, Print, World } from './kinds'
import type { PaintRef } from './parts'

/** A paint as it lies in a film: the kit's own swatch where it is there, else what follows from the colour in the look. */
export function laidPaint(ref: Pick<PaintRef, 'id' | 'colour'>, world: World): LaidPaint {
  const paint = world.paint(ref.id)
  return paint
    ? { optics: opticsOfSwatch(paint.overBlack, paint.overWhite), finish: paint.finish }
    : { optics: opticsOfColour(ref.colour), finish: 'matte' }
}

/** The paints that a load takes up. */
export function loadPaints(load: Pass['load']): { id: string; name: string; colour: string }[] {
  if (load.kind === 'one') return [load.paint]
  return load.kind === 'over'
    ? [load.first, load.second]
    : [{ id: load.cake.id, name: load.cake.name, colour: load.cake.colour }]
}

/** A load in words. */
export const loadWords = (load: Pass['load']): string =>
  load.kind === 'one'
    ? load.paint.name
    : load.kind === 'cake'
      ? `${load.cake.name} across the sheet`
      : `${load.first.name} with ${load.second.name} over its end`

/** The paints of a load and how they run over the skin: strips of a cake, or one colour into the other, along the load's direction. */
export function loadPrint(
  load: Pass['load'],
  sheet: Stencil,
  numbers: readonly number[],
  laid: Laid,
  world: World,
): Pick<Print, 'paints' | 'axis' | 'strips'> {
  if (load.kind === 'one') return { paints: [laidPaint(load.paint, world)], axis: null, strips: null }
  const b = boxAround(numbers.map(n => sheet.openings[n]!))
  const middle: Point = [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2]
  const c = Math.sin(radians(load.direction))
  const s = -Math.cos(radians(load.direction))
  // The axis is as long as the painted openings are wide that way.
  const half = (Math.abs(c) * (b.maxX - b.minX) + Math.abs(s) * (b.maxY - b.minY)) / 2
  const axis = {
    kind: 'line' as const,
    from: laid.point([middle[0] - c * half, middle[1] - s * half]),
    to: laid.point([middle[0] + c * half, middle[1] + s * half]),
  }
  if (load.kind === 'over')
    return { paints: [laidPaint(load.first, world), laidPaint(load.second, world)], axis, strips: null }
  const strips = world.paint(load.cake.id)?.strips.length
    ? world.paint(load.cake.id)!.strips
    : load.cake.strips
  const total = strips.reduce((sum, strip) => sum + strip.width, 0)
  const finish = world.paint(load.cake.id)?.finish ?? 'matte'
  let sum = 0
  return {
    paints: strips.map(strip => ({ optics: opticsOfColour(strip.colour), finish })),
    axis,
    strips: strips.map(strip => (sum += strip.width) / total),
  }
}
