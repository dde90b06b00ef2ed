import {
  clockwise,
  intersection,
  mix,
  offset,
  regionOf,
  ringOf,
  ringsOf,
  type Point,
  type Ring,
} from '../geometry'
import { printedRings, type LaidPaint, type Print, type Rails } from '../look'
import { hexOf, masstone, wetBlend } from '../paint'
import { f, pathData } from './svgPath'

/** A colour at a place along an axis, 0 to 1. */
interface Stop {
  readonly at: number
  readonly colour: string
}

/** Steps between two neighbouring colours that blend wet, and in from an edge. */
const BETWEEN = 4
const NESTED = 8

const colourOf = (paint: LaidPaint): string => hexOf(masstone(paint.optics))

/** Two paints stirred into one another, as they lie where they meet. */
const blended = (a: LaidPaint, b: LaidPaint, share: number): string =>
  hexOf(masstone(share <= 0 ? a.optics : share >= 1 ? b.optics : wetBlend(a.optics, b.optics, share)))

/** The colours of a film along its axis: strips of a cake hard beside one another, others blended. */
function stopsOf({ paints, strips, stops }: Print): Stop[] {
  if (strips)
    return strips.flatMap((end, i): Stop[] => {
      const colour = colourOf(paints[i]!)
      return [
        { at: i ? strips[i - 1]! : 0, colour },
        { at: end, colour },
      ]
    })
  const at = stops ?? paints.map((_, i) => i / Math.max(1, paints.length - 1))
  return paints.flatMap((paint, i): Stop[] => {
    const next = paints[i + 1]
    if (!next) return [{ at: at[i]!, colour: colourOf(paint) }]
    return Array.from({ length: BETWEEN }, (_, k) => ({
      at: at[i]! + ((at[i + 1]! - at[i]!) * k) / BETWEEN,
      // As the picture has it: slowly out of one colour and slowly into the next.
      colour: blended(paint, next, (k / BETWEEN) ** 2 * (3 - (2 * k) / BETWEEN)),
    }))
  })
}

/** The colour at a place along an axis. */
const colourAt = (stops: readonly Stop[], at: number): string =>
  (stops.findLast(s => s.at <= at) ?? stops[0]!).colour

/** The stops of a gradient; a film that runs out does so over its last share. */
function stopTags(stops: readonly Stop[], runsOut: number | undefined): string {
  const tag = (at: number, colour: string, opacity = 1) =>
    `<stop offset="${f(at)}" stop-color="${colour}"${opacity < 1 ? ` stop-opacity="${f(opacity)}"` : ''}/>`
  if (runsOut === undefined) return stops.map(s => tag(s.at, s.colour)).join('')
  const left = (at: number) => (at <= runsOut ? 1 : Math.max(0, (1 - at) / (1 - runsOut)))
  const between = [runsOut, 1].map(at => ({ at, colour: colourAt(stops, at) }))
  return [...stops, ...between]
    .sort((a, b) => a.at - b.at)
    .map(s => tag(s.at, s.colour, left(s.at)))
    .join('')
}

/** What a part of a film looks like: a fill, and the gradient that it names. */
interface Filled {
  readonly rings: readonly Ring[]
  readonly fill: string
  readonly gradient?: string
}

/** A film along a line, or out from a point: one path filled with a gradient. */
function graded(print: Print, id: string, on: (p: Point) => Point): Filled | null {
  const { axis } = print
  const stops = stopTags(stopsOf(print), print.runsOut)
  const rings = printedRings(print)
  const fill = `url(#${id})`
  const units = `id="${id}" gradientUnits="userSpaceOnUse"`
  if (axis?.kind === 'out') {
    const [cx, cy] = on(axis.from)
    const gradient = `<radialGradient ${units} cx="${f(cx)}" cy="${f(cy)}" r="${f(axis.reach)}">${stops}</radialGradient>`
    return { rings, fill, gradient }
  }
  if (axis?.kind !== 'line') return null
  const { from, to, every } = axis
  const long = Math.hypot(to[0] - from[0], to[1] - from[1])
  const [x1, y1] = on(from)
  const [x2, y2] = on(every && long > 0 ? mix(from, to, every / long) : to)
  const spread = every ? ' spreadMethod="repeat"' : ''
  const ends = `x1="${f(x1)}" y1="${f(y1)}" x2="${f(x2)}" y2="${f(y2)}"`
  return { rings, fill, gradient: `<linearGradient ${units} ${ends}${spread}>${stops}</linearGradient>` }
}

/** A band between two rails, colour beside colour. */
function banded(print: Print, { left, right }: Rails): Filled[] {
  const stops = stopsOf(print)
  const ends = print.strips ?? Array.from({ length: NESTED }, (_, i) => (i + 1) / NESTED)
  // What is left free is cut out of every strip.
  const kept = print.free?.length || print.only ? regionOf(printedRings(print), 'nonzero') : null
  return ends.map((end, i): Filled => {
    const start = i ? ends[i - 1]! : 0
    const edge = (share: number) => left.map((p, n) => mix(p, right[n]!, share))
    const rings = clockwise([ringOf([...edge(start), ...edge(end).reverse()])])
    const lies = kept ? ringsOf(intersection(regionOf(rings, 'nonzero'), kept)) : rings
    return { rings: lies, fill: colourAt(stops, (start + end) / 2) }
  })
}

/** A film in from its own edge: its whole shape in the rim's colour, and ever smaller ones on it. */
function nested(print: Print, depth: number): Filled[] {
  const stops = stopsOf(print)
  const whole = regionOf(printedRings(print), 'nonzero')
  return Array.from({ length: NESTED }, (_, i): Filled => {
    const share = i / (NESTED - 1)
    const rings = i ? ringsOf(offset(whole, -depth * share)) : ringsOf(whole)
    return { rings, fill: colourAt(stops, 1 - share) }
  }).filter(part => part.rings.length > 0)
}

/**
 * The paths of a film of several colours, with the gradients that they name; null for one of one colour.
 * @param id names the film in its file
 * @param front brings points and rings of the skin to the picture plane
 */
export function filmPaths(
  print: Print,
  id: string,
  front: { readonly point: (p: Point) => Point; readonly ring: (r: Ring) => Ring },
): string[] | null {
  const { axis, paints, runsOut, particles } = print
  if (particles || !axis || (paints.length < 2 && runsOut === undefined)) return null
  const single = graded(print, id, front.point)
  const parts = single
    ? [single]
    : axis.kind === 'across'
      ? banded(print, axis.rails)
      : axis.kind === 'edge'
        ? nested(print, axis.depth)
        : []
  return parts.map(
    ({ rings, fill, gradient }) =>
      `${gradient ? `<defs>${gradient}</defs>` : ''}<path d="${pathData(rings.map(front.ring))}" fill="${fill}" fill-opacity="${f(print.opacity)}" fill-rule="nonzero"/>`,
  )
}
