import { boxOf, signedArea, type Box, type Ring } from '../../geometry'
import type { Trace } from './curves'

/** Two outlines are one when their boxes and areas are this near, mm and mm2. */
const SAME = 0.02

/** Open pieces, of which each is kept once: what is drawn twice would be no loop. */
export function distinct(traces: readonly Trace[]): Trace[] {
  const seen = new Set<string>()
  return traces.filter(({ points }) => {
    const at = (i: number) => `${points[i]!.toFixed(5)} ${points[i + 1]!.toFixed(5)}`
    const ends = [at(0), at(points.length - 2)].sort()
    const middle = points.length > 4 ? middleOf(points) : ''
    const key = [...ends, middle].join('|')
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}

/** The mean of some points, by which two ways between the same ends are told apart. */
function middleOf(points: readonly number[]): string {
  let x = 0
  let y = 0
  for (let i = 0; i < points.length; i += 2) {
    x += points[i]!
    y += points[i + 1]!
  }
  const n = points.length / 2
  return `${(x / n).toFixed(4)} ${(y / n).toFixed(4)}`
}

/** What two loops are told apart by. */
interface Seen {
  readonly box: Box
  readonly area: number
}
/** As many loops that begin at one place are compared; more of them are no drawing of a sheet. */
const MOST_NEAR = 400

/** Loops, of which each is kept once: by the even-odd rule two that lie on one another would be none. */
export function distinctRings(rings: readonly Ring[]): Ring[] {
  const cells = new Map<string, Seen[]>()
  return rings.filter(ring => {
    const seen = { box: boxOf(ring), area: Math.abs(signedArea(ring)) }
    const [i, j] = [Math.round(seen.box.minX), Math.round(seen.box.minY)]
    for (let a = i - 1; a <= i + 1; a++)
      for (let b = j - 1; b <= j + 1; b++)
        if (cells.get(`${a} ${b}`)?.some(other => isSame(seen, other))) return false
    const key = `${i} ${j}`
    const list = cells.get(key)
    if (!list) cells.set(key, [seen])
    else if (list.length < MOST_NEAR) list.push(seen)
    return true
  })
}

function isSame({ box: p, area: a }: Seen, { box: q, area: b }: Seen): boolean {
  const near = (u: number, v: number) => Math.abs(u - v) < SAME
  const round = p.maxX - p.minX + p.maxY - p.minY
  return (
    near(p.minX, q.minX) &&
    near(p.minY, q.minY) &&
    near(p.maxX, q.maxX) &&
    near(p.maxY, q.maxY) &&
    Math.abs(a - b) < SAME * (1 + round)
  )
}
