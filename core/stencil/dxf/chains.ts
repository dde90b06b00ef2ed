import Flatbush from 'flatbush'
import type { Trace } from './curves'

type Run = number[]

const reversed = (p: Run): Run => {
  const out: Run = []
  for (let i = p.length - 2; i >= 0; i -= 2) out.push(p[i]!, p[i + 1]!)
  return out
}

/** The ends of open pieces, found by place; a piece that is used is passed over from then on. */
class Ends {
  private readonly index: Flatbush
  private readonly used: Uint8Array

  constructor(private readonly pieces: readonly Run[]) {
    this.used = new Uint8Array(pieces.length)
    this.index = new Flatbush(Math.max(1, 2 * pieces.length))
    for (const p of pieces) {
      this.index.add(p[0]!, p[1]!, p[0]!, p[1]!)
      this.index.add(p.at(-2)!, p.at(-1)!, p.at(-2)!, p.at(-1)!)
    }
    if (pieces.length === 0) this.index.add(0, 0, 0, 0)
    this.index.finish()
  }

  use(n: number): Run {
    this.used[n] = 1
    return this.pieces[n]!
  }

  /**
   * The nearest free end within reach of a point: the piece, how far, and whether it must be turned round to
   * go on from there.
   */
  nearest(x: number, y: number, reach: number): { piece: number; far: number; turned: boolean } | null {
    const [n] = this.index.neighbors(x, y, 1, reach, i => !this.used[i >> 1])
    if (n === undefined) return null
    const piece = n >> 1
    const p = this.pieces[piece]!
    const turned = n % 2 === 1
    return {
      piece,
      turned,
      far: turned ? Math.hypot(p.at(-2)! - x, p.at(-1)! - y) : Math.hypot(p[0]! - x, p[1]! - y),
    }
  }
}

/** Ends this much nearer than the reach are one point, written with fewer digits. */
const SAME = 0.01

/** Grows chains from pieces: each goes on as long as another piece begins where it ends. */
function grown(pieces: readonly Run[], goesOn: (gap: number, far: number) => boolean, reach: number) {
  const ends = new Ends(pieces)
  const done = new Uint8Array(pieces.length)
  let widest = 0
  const chains: Run[] = []
  for (let start = pieces.length - 1; start >= 0; start--) {
    if (done[start]) continue
    done[start] = 1
    const chain = [...ends.use(start)]
    for (;;) {
      const next = ends.nearest(chain.at(-2)!, chain.at(-1)!, reach)
      if (!next || !goesOn(gapOf(chain), next.far)) break
      done[next.piece] = 1
      widest = Math.max(widest, next.far)
      const run = ends.use(next.piece)
      const onward = next.turned ? reversed(run) : run
      for (let i = next.far < 1e-9 ? 2 : 0; i < onward.length; i++) chain.push(onward[i]!)
    }
    chains.push(chain)
  }
  return { chains, widest }
}

/** How far the ends of a chain stand apart; infinite while it has too few points to enclose anything. */
const gapOf = (chain: Run): number =>
  chain.length < 6 ? Infinity : Math.hypot(chain.at(-2)! - chain[0]!, chain.at(-1)! - chain[1]!)

/** Whether a piece leads anywhere: one whose points are all the same is none. */
const leads = (points: Run): boolean =>
  points.length >= 4 && points.some((v, i) => Math.abs(v - points[i % 2]!) > 1e-9)

/**
 * Joins open pieces end to end into loops. Ends that are the same point are joined first, so that a drawing of
 * pieces shorter than the reach keeps them all; only what is open then is joined, or closed, across a gap.
 * @param reach how far ends may stand apart, mm
 * @returns closed loops, and the gap of the worst chain that did not close (null when all did)
 */
export function chained(
  pieces: readonly Trace[],
  reach: number,
): { loops: number[][]; open: number | null; widest: number } {
  const same = SAME * reach
  const exact = grown(pieces.map(p => p.points).filter(leads), gap => gap > same, same)
  const loops = exact.chains.filter(c => gapOf(c) <= same)
  const wide = grown(
    exact.chains.filter(c => gapOf(c) > same),
    // A chain is closed across a gap only where no other piece stands nearer.
    (gap, far) => gap > reach || far < gap,
    reach,
  )
  let open: number | null = null,
    { widest } = wide
  for (const chain of wide.chains) {
    const gap = Math.hypot(chain.at(-2)! - chain[0]!, chain.at(-1)! - chain[1]!)
    if (gap > reach || chain.length < 6) open = Math.max(open ?? 0, gap)
    else {
      widest = Math.max(widest, gap)
      loops.push(chain)
    }
  }
  return { loops, open, widest }
}
