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

/**
 * Joins open pieces end to end into loops.
 * @param reach how far ends may stand apart, mm
 * @returns closed loops, and the gap of the worst chain that did not close (null when all did)
 */
export function chained(
  pieces: readonly Trace[],
  reach: number,
): { loops: number[][]; open: number | null; widest: number } {
  const runs = pieces.filter(p => p.points.length >= 4).map(p => p.points)
  const ends = new Ends(runs)
  const done = new Uint8Array(runs.length)
  const loops: number[][] = []
  let open: number | null = null,
    widest = 0
  for (let start = runs.length - 1; start >= 0; start--) {
    if (done[start]) continue
    done[start] = 1
    const chain = [...ends.use(start)]
    const gap = () => Math.hypot(chain.at(-2)! - chain[0]!, chain.at(-1)! - chain[1]!)
    while (gap() > reach || chain.length < 6) {
      const next = ends.nearest(chain.at(-2)!, chain.at(-1)!, reach)
      if (!next) break
      done[next.piece] = 1
      widest = Math.max(widest, next.far)
      const run = ends.use(next.piece)
      const onward = next.turned ? reversed(run) : run
      for (let i = next.far < 1e-9 ? 2 : 0; i < onward.length; i++) chain.push(onward[i]!)
    }
    const last = gap()
    if (last > reach || chain.length < 6) open = Math.max(open ?? 0, last)
    else {
      widest = Math.max(widest, last)
      loops.push(chain)
    }
  }
  return { loops, open, widest }
}
