import { movedBack, movedBy, wrapDegrees, type Point, type Rigid } from '../../../geometry'
import type { Placement } from '../../../skin'

/**
 * How a guest lies in its host's sheet frame, from where both lie on the skin; null when they lie on
 * different sides.
 */
export function relationOf(host: Placement, guest: Placement): Rigid | null {
  if (host.side !== guest.side) return null
  // Both frames are read in the flat; on the skin they share the host's grip.
  const k = host.side === 'B' ? -1 : 1
  const turn = wrapDegrees(k * (guest.tilt - host.tilt))
  const dx = guest.at[0] - host.at[0]
  const dy = guest.at[1] - host.at[1]
  const [ux, uy] = movedBack({ turn: host.tilt, shift: [0, 0] }, [dx, dy])
  const [hx, hy] = host.grip ?? [0, 0]
  const [gx, gy] = guest.grip ?? [0, 0]
  const at: Point = [hx + k * ux, hy + uy]
  const g = movedBy({ turn, shift: [0, 0] }, [gx, gy])
  return { turn, shift: [at[0] - g[0], at[1] - g[1]] }
}

/**
 * Where a guest lies when it is held in register with its host: pressed down on the same point of the skin,
 * so that both follow the skin alike.
 */
export function registeredPlacement(host: Placement, { turn, shift }: Rigid): Placement {
  return {
    at: host.at,
    tilt: wrapDegrees(host.side === 'B' ? host.tilt - turn : host.tilt + turn),
    side: host.side,
    grip: movedBack({ turn, shift }, host.grip ?? [0, 0]),
  }
}
