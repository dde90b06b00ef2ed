import { bearing, distance, mirrored, radians, wrapDegrees, type Point } from '../../geometry'
import { landmarkList, mirroredPlacement, type Ground, type Landmarks, type Placement } from '../../skin'
import type { OwnAxis } from '../../stencil'
import type { TwinRule } from '../document'

/** Differences between two sides that nobody notices: up to this many mm and degrees (common practice). */
const UNNOTICED = { mm: 3, degrees: 5 } as const

/**
 * A point on one side of the face as it lies against the features of the other: its mirror image, shifted as
 * the landmarks nearest to it are shifted there. The shifts are averaged with weights that fall with the
 * fourth power of distance (Shepard 1968, a two-dimensional interpolation function).
 */
export function acrossByFeatures(face: Landmarks, at: Point): Point {
  let sum = 0,
    dx = 0,
    dy = 0
  const here = mirrored(at)
  for (const mark of landmarkList(face)) {
    const [name] = [mark.id.split('.')[1]!]
    const other =
      mark.side === 'mid'
        ? mark.at
        : face[mark.side === 'left' ? 'right' : 'left'][name as keyof Landmarks['left']]
    const from = mirrored(mark.at)
    const d = distance(from, here)
    const weight = 1 / (d ** 4 + 1)
    sum += weight
    dx += weight * (other[0] - from[0])
    dy += weight * (other[1] - from[1])
  }
  return [here[0] + dx / sum, here[1] + dy / sum]
}

/**
 * A placement whose sheet is its own mirror image, turned over in place: the same print from the other side,
 * so nothing need be flipped.
 */
export function withoutFlip(placement: Placement, { angle, centre }: OwnAxis): Placement {
  const [gx, gy] = placement.grip ?? [0, 0]
  const c = Math.cos(radians(2 * angle))
  const s = Math.sin(radians(2 * angle))
  const x = gx - centre[0]
  const y = gy - centre[1]
  // The grip's own mirror image in the sheet: a reflection about a line at `angle` from upright.
  const grip: Point = [centre[0] - c * x - s * y, centre[1] - s * x + c * y]
  const turned = placement.side === 'B' ? -2 * angle : 2 * angle
  return {
    at: placement.at,
    tilt: wrapDegrees(placement.tilt + turned),
    side: placement.side === 'A' ? 'B' : 'A',
    grip,
  }
}

/**
 * Where the twin of a placement lies by a rule; null for none. A sheet with a mirror axis stays on the side
 * it is on, with the tilt that does it.
 * @param about the point of a half turn; the middle of the ground when null
 */
export function twinOf(
  ground: Ground,
  own: Placement,
  rule: TwinRule,
  about: Point | null,
  axis: OwnAxis | null,
): Placement | null {
  if (rule === 'none') return null
  if (rule === 'turn') return halfTurned(ground, own, about ?? [0, 0])
  const face = rule === 'features' ? ground.face?.landmarks : undefined
  const image = face ? byFeatures(face, own) : mirroredPlacement(own)
  return axis ? withoutFlip(image, axis) : image
}

function byFeatures(face: Landmarks, own: Placement): Placement {
  const exact = mirroredPlacement(own)
  const at = acrossByFeatures(face, own.at)
  const reach = 12
  // The way up of the sheet is carried over by a second point, so that it leans as the features do there.
  const up: Point = [
    own.at[0] + reach * Math.sin(radians(own.tilt)),
    own.at[1] - reach * Math.cos(radians(own.tilt)),
  ]
  return { ...exact, at, tilt: bearing(at, acrossByFeatures(face, up)) }
}

/** Half a turn of the skin about one of its points. */
function halfTurned({ surface }: Ground, own: Placement, about: Point): Placement {
  const around = surface.exponential(about)
  const [u, v] = around.from(...own.at)
  const reach = 12
  const up: Point = [
    own.at[0] + reach * Math.sin(radians(own.tilt)),
    own.at[1] - reach * Math.cos(radians(own.tilt)),
  ]
  const [p, q] = around.from(...up)
  const out = Float64Array.of(-u, -v, -p, -q)
  around.to(out, 0)
  around.to(out, 2)
  return {
    ...own,
    at: [out[0]!, out[1]!],
    tilt: wrapDegrees(bearing([out[0]!, out[1]!], [out[2]!, out[3]!])),
  }
}

/**
 * How far a twin lies from where its rule puts it: mm on the skin, degrees, and whether anybody would notice.
 */
export interface TwinMiss {
  readonly mm: number
  readonly degrees: number
  readonly noticed: boolean
}

export function twinMiss(placed: Placement, exact: Placement, axis: OwnAxis | null): TwinMiss {
  // A sheet that is its own mirror image may lie on either side.
  const same = placed.side === exact.side || !axis ? placed : withoutFlip(placed, axis)
  const mm = distance(same.at, exact.at)
  const degrees = same.side === exact.side ? Math.abs(wrapDegrees(same.tilt - exact.tilt)) : 180
  return { mm, degrees, noticed: mm > UNNOTICED.mm || degrees > UNNOTICED.degrees }
}
