import { boxOf, signedArea, type Ring } from '../../geometry'
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

/** Loops, of which each is kept once: by the even-odd rule two that lie on one another would be none. */
export function distinctRings(rings: readonly Ring[]): Ring[] {
  const cells = new Map<string, Ring[]>()
  return rings.filter(ring => {
    const box = boxOf(ring)
    const [i, j] = [Math.round(box.minX), Math.round(box.minY)]
    for (let a = i - 1; a <= i + 1; a++)
      for (let b = j - 1; b <= j + 1; b++)
        if (cells.get(`${a} ${b}`)?.some(other => isSame(ring, other))) return false
    const key = `${i} ${j}`
    const list = cells.get(key)
    if (list) list.push(ring)
    else cells.set(key, [ring])
    return true
  })
}

function isSame(a: Ring, b: Ring): boolean {
  const [p, q] = [boxOf(a), boxOf(b)]
  const near = (u: number, v: number) => Math.abs(u - v) < SAME
  return (
    near(p.minX, q.minX) &&
    near(p.minY, q.minY) &&
    near(p.maxX, q.maxX) &&
    near(p.maxY, q.maxY) &&
    Math.abs(Math.abs(signedArea(a)) - Math.abs(signedArea(b))) <
      SAME * (1 + p.maxX - p.minX + p.maxY - p.minY)
  )
}
