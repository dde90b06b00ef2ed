import { distance, type Point } from '../../geometry'
import { landmarkList, type Face, type Ground } from '../../skin'

/**
 * The map of points from one ground to another: along landmarks from face to face, else the whole design
 * drawn together or apart about its middle.
 */
export function pointMap(from: Ground, to: Ground): (at: Point) => Point {
  if (from.face && to.face) return faceMap(from.face, to.face)
  const a = middleOf(from)
  const b = middleOf(to)
  const kx = reachOf(to)[0] / reachOf(from)[0]
  const ky = Math.min(1.2, reachOf(to)[1] / reachOf(from)[1])
  return ([x, y]) => [b[0] + (x - a[0]) * kx, b[1] + (y - a[1]) * ky]
}

/** Where a design sits on a ground, and how far it may reach to the side and up or down, mm. */
const middleOf = ({ face }: Ground): Point =>
  face ? [0, (face.landmarks.mid.hairline[1] + face.landmarks.mid.chin[1]) / 2] : [0, 0]
const reachOf = ({ face, arm }: Ground): Point =>
  face
    ? [face.landmarks.right.earFront[0], (face.landmarks.mid.chin[1] - face.landmarks.mid.hairline[1]) / 2]
    : [arm!.surface.across(Math.PI / 2, 0) * 0.8, arm!.length * 0.46]

/**
 * First both forms are brought onto each other by heights and widths, then what is left at the landmarks is
 * spread by inverse distance (Shepard 1968).
 */
function faceMap(from: Face, to: Face): (at: Point) => Point {
  const rough = ([x, y]: Point): Point => {
    const ym = from.form.toMean(y)
    return [(x / from.form.wide(ym)) * to.form.wide(ym), to.form.fromMean(ym)]
  }
  const targets = new Map(landmarkList(to.landmarks).map(m => [m.id, m.at]))
  const marks = landmarkList(from.landmarks).map(({ id, at }) => {
    const there = rough(at)
    const goal = targets.get(id)!
    return { at, dx: goal[0] - there[0], dy: goal[1] - there[1] }
  })
  return at => {
    const here = rough(at)
    let sum = 0,
      dx = 0,
      dy = 0
    for (const m of marks) {
      const w = 1 / (distance(m.at, at) ** 4 + 1e-3)
      sum += w
      dx += w * m.dx
      dy += w * m.dy
    }
    return [here[0] + dx / sum, here[1] + dy / sum]
  }
}
