import { chromaOf, deltaE, labOf, mudOf, type LinearRgb } from '../paint'

/** A join that turns to mud weighs more than any differences of colour could. */
const MUD_WEIGHS = 10_000

/** Less coloured than this a strip is a grey, which has no hue (CIE C*; common practice). */
const GREY = 14

/** The hue of a colour, degrees of the a*b* plane from 0 to 360. */
function hueOf(colour: LinearRgb): number {
  const { a, b } = labOf(colour)
  return ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360
}

/** The hue at which a rainbow begins: pinks and reds come first, violet last; degrees of the a*b* plane. */
const BEGINS = 340

/**
 * The order of a rainbow: hue after hue from red to violet; greys come first, light to dark.
 * @returns the numbers of the strips in that order
 */
export function hueOrder(strips: readonly LinearRgb[]): number[] {
  const along = (n: number) => (hueOf(strips[n]!) - BEGINS + 360) % 360
  const isGrey = (n: number) => chromaOf(strips[n]!) < GREY
  const all = strips.map((_, n) => n)
  return [
    ...all.filter(isGrey).sort((p, q) => labOf(strips[q]!).l - labOf(strips[p]!).l),
    ...all.filter(n => !isGrey(n)).sort((p, q) => along(p) - along(q)),
  ]
}

/**
 * What it costs to let each strip follow each other one: whether they turn to mud, how far apart they are, how
 * much lighter the second is. What two of them share is worked out once: a spectral mix is dear.
 */
function costsOf(strips: readonly LinearRgb[]): number[][] {
  const cost = strips.map(() => strips.map(() => 0))
  const light = strips.map(s => labOf(s).l)
  strips.forEach((a, i) =>
    strips.slice(0, i).forEach((b, j) => {
      const shared = (mudOf(a, b).muddy ? MUD_WEIGHS : 0) + deltaE(a, b)
      cost[i]![j] = shared + Math.max(0, light[j]! - light[i]!)
      cost[j]![i] = shared + Math.max(0, light[i]! - light[j]!)
    }),
  )
  return cost
}

/**
 * The order in which the strips of a cake blend best: as few joins as can be turn to mud, and of such orders the
 * one whose neighbours are nearest to each other (CIEDE2000), from light to dark as far as that goes (common
 * practice). Exact: a shortest path through all of them (Held and Karp 1962).
 * @param strips up to 12 colours
 * @returns the numbers of the strips in that order
 * @throws RangeError for more than 12
 */
export function bestOrder(strips: readonly LinearRgb[]): number[] {
  const n = strips.length
  if (n > 12) throw new RangeError('A cake has at most 12 strips.')
  if (n < 2) return strips.map((_, i) => i)
  const cost = costsOf(strips)
  // best[set * n + last]: the cheapest way through a set of strips that ends in one of them.
  const best = new Float64Array(2 ** n * n).fill(Infinity)
  const from = new Int8Array(2 ** n * n).fill(-1)
  for (let i = 0; i < n; i++) best[2 ** i * n + i] = 0
  for (let set = 1; set < 2 ** n; set++)
    for (let last = 0; last < n; last++) {
      const so = best[set * n + last]!
      if (so === Infinity) continue
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue
        const at = (set | (1 << next)) * n + next
        const now = so + cost[last]![next]!
        if (now >= best[at]!) continue
        best[at] = now
        from[at] = last
      }
    }
  return wayBack(best, from, n)
}

function wayBack(best: Float64Array, from: Int8Array, n: number): number[] {
  let set = 2 ** n - 1
  let last = 0
  for (let i = 1; i < n; i++) if (best[set * n + i]! < best[set * n + last]!) last = i
  const order: number[] = []
  while (last >= 0) {
    order.push(last)
    const before = from[set * n + last]!
    set &= ~(1 << last)
    last = before
  }
  return order.reverse()
}
