import { ringOf, type Point, type Ring } from '../geometry'
import type { Ground } from './grounds'
import type { ZoneId } from './zones'

/** A round spot of the skin, mm. */
export function discAt([x, y]: Point, radius: number): Ring {
  return ringOf(
    Array.from(
      { length: 48 },
      (_, i) =>
        [x + radius * Math.cos((i / 24) * Math.PI), y + radius * Math.sin((i / 24) * Math.PI)] as const,
    ),
  )
}

/** The ring of a zone with whether it lies even across the midline; null when the ground has no such zone. */
export function zoneSpot(ground: Ground, id: ZoneId): { ring: Ring; even: boolean } | null {
  const ring = ground.zone(id)
  return ring && { ring, even: ground.face !== null && !id.includes('.') }
}
