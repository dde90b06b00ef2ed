import type { Trace } from './curves'

/**
 * Joins open pieces end to end into loops.
 * @param reach how far ends may stand apart, mm
 * @returns closed loops, and the gap of the worst chain that did not close (null when all did)
 */
export function chained(pieces: readonly Trace[], reach: number): { loops: number[][], open: number | null, widest: number } {
  const loops: number[][] = [], rest = pieces.filter(p => p.points.length >= 4).map(p => p.points)
  let open: number | null = null, widest = 0
  const gap = (a: number[], b: number[]) => Math.hypot(a.at(-2)! - b[0]!, a.at(-1)! - b[1]!)
  const reversed = (p: number[]) => {
    const out: number[] = []
    for (let i = p.length - 2; i >= 0; i -= 2) out.push(p[i]!, p[i + 1]!)
    return out
  }
  while (rest.length) {
    let chain = rest.pop()!
    while (gap(chain, chain) > reach || chain.length < 6) {
      let best = -1, least = reach, turned = false
      rest.forEach((piece, i) => {
        const ahead = gap(chain, piece), back = gap(chain, reversed(piece))
        if (Math.min(ahead, back) <= least) {
          least = Math.min(ahead, back)
          best = i
          turned = back < ahead
        }
      })
      if (best < 0) break
      const [next] = rest.splice(best, 1)
      widest = Math.max(widest, least)
      chain = [...chain, ...(turned ? reversed(next!) : next!).slice(least < 1e-9 ? 2 : 0)]
    }
    const last = gap(chain, chain)
    if (last > reach || chain.length < 6) open = Math.max(open ?? 0, last)
    else {
      widest = Math.max(widest, last)
      loops.push(chain)
    }
  }
  return { loops, open, widest }
}
