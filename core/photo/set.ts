import { boxOf, flattened, type Point } from '../geometry'
import { mapOpening, type Draft } from '../draft'

/** A round opening that may be a mark by which parts of a set are laid on one another. */
interface Mark {
  readonly at: Point
  readonly radius: number
}

/** Marks are no larger than this, mm. Common practice: holes of a punch. */
const LARGEST_MARK = 4
/** How far marks may lie from one another once they are laid on one another, mm. */
const WITHIN = 0.6

function marksOf(draft: Draft): Mark[] {
  return draft.openings.flatMap(({ outer, holes }) => {
    if (holes.length) return []
    const box = boxOf(flattened(outer, 0.02))
    const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
    if (Math.abs(w - h) > 0.12 * Math.max(w, h) || w / 2 > LARGEST_MARK || outer.length !== 4) return []
    return [{ at: [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2] as Point, radius: (w + h) / 4 }]
  })
}

/** A move that keeps lengths: turned by an angle, then shifted. */
interface Move {
  readonly cos: number
  readonly sin: number
  readonly x: number
  readonly y: number
}
const moved = ({ cos, sin, x, y }: Move, p: Point): Point => [
  cos * p[0] - sin * p[1] + x,
  sin * p[0] + cos * p[1] + y,
]

/** The move that takes points to others best (Kabsch 1976, in the plane). */
function bestMove(from: readonly Point[], to: readonly Point[]): Move {
  const n = from.length
  const mean = (list: readonly Point[], k: 0 | 1) => list.reduce((s, p) => s + p[k], 0) / n
  const [fx, fy, tx, ty] = [mean(from, 0), mean(from, 1), mean(to, 0), mean(to, 1)]
  let [dot, cross] = [0, 0]
  from.forEach((p, i) => {
    const [a, b, c, d] = [p[0] - fx, p[1] - fy, to[i]![0] - tx, to[i]![1] - ty]
    dot += a * c + b * d
    cross += a * d - b * c
  })
  const l = Math.hypot(dot, cross) || 1
  const [cos, sin] = [dot / l, cross / l]
  return { cos, sin, x: tx - cos * fx + sin * fy, y: ty - sin * fx - cos * fy }
}

/** Pairs of marks that lie on one another under a move, each with its nearest. */
function pairsUnder(move: Move, from: readonly Mark[], to: readonly Mark[]): [Point, Point][] {
  return from.flatMap(mark => {
    const at = moved(move, mark.at)
    const near = to.find(
      other =>
        Math.hypot(other.at[0] - at[0], other.at[1] - at[1]) < WITHIN &&
        Math.abs(other.radius - mark.radius) < 0.3,
    )
    return near ? [[mark.at, near.at] as [Point, Point]] : []
  })
}

/** The move by which most marks of one sheet lie on those of another; null with fewer than two. */
function moveBetween(from: readonly Mark[], to: readonly Mark[]): { move: Move; shared: number } | null {
  let best: { move: Move; pairs: [Point, Point][]; turn: number } | null = null
  for (const a of from)
    for (const b of from) {
      if (a === b) continue
      for (const p of to)
        for (const q of to) {
          const apart = Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1])
          if (p === q || Math.abs(apart - Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1])) > WITHIN) continue
          const move = bestMove([a.at, b.at], [p.at, q.at])
          const pairs = pairsUnder(move, from, to)
          const turn = Math.abs(Math.atan2(move.sin, move.cos))
          // Of moves that fit as well, the one that turns least: sheets are photographed upright.
          if (
            pairs.length > (best?.pairs.length ?? 1) ||
            (pairs.length === best?.pairs.length && turn < best.turn)
          )
            best = { move, pairs, turn }
        }
    }
  if (!best || best.pairs.length < 2) return null
  return { move: bestMove(best.pairs.map(p => p[0]), best.pairs.map(p => p[1])), shared: best.pairs.length } // prettier-ignore
}

/** Parts of a set in one frame, and by how many marks each lies on the first; 0 where by its box alone. */
export interface SetRead {
  readonly drafts: readonly Draft[]
  readonly shared: readonly number[]
}

/**
 * Brings sheets that must register into the frame of the first: by round marks that they share, at least two,
 * else by the middles of their boxes. All get the size of the largest.
 */
export function readAsSet(drafts: readonly Draft[]): SetRead {
  const [first] = drafts
  if (!first) return { drafts, shared: [] }
  const marks = marksOf(first).slice(0, 40)
  const fits = drafts.map((d, i) => (i ? moveBetween(marksOf(d).slice(0, 40), marks) : null))
  const width = Math.max(...drafts.map(d => d.width))
  const height = Math.max(...drafts.map(d => d.height))
  const frame = drafts.find(d => d.width === width && d.height === height) ?? first
  return {
    shared: fits.map((f, i) => (i ? (f?.shared ?? 0) : marks.length)),
    drafts: drafts.map((draft, i) => ({
      width,
      height,
      outline: frame.width === width && frame.height === height ? frame.outline : draft.outline,
      openings: fits[i]
        ? draft.openings.map(o => mapOpening(o, p => moved(fits[i]!.move, p)))
        : draft.openings,
    })),
  }
}
