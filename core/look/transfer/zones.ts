import { plainZone, type ArmZone, type FaceZone, type Ground, type ZoneId } from '../../skin'

/** Zones of an arm that stand for those of a face, and the other way round. */
const TO_ARM: Record<string, ArmZone> = {
  'face': 'arm',
  'forehead': 'upper band',
  'temple': 'upper band',
  'brow': 'upper band',
  'eye': 'upper band',
  'lid': 'upper band',
  'nose': 'middle band',
  'under-eye': 'middle band',
  'cheekbone': 'middle band',
  'cheek': 'middle band',
}
const TO_FACE: Record<ArmZone, FaceZone[]> = {
  'arm': ['face'],
  'upper band': ['forehead'],
  'middle band': ['left.cheek', 'right.cheek'],
  'lower band': ['muzzle', 'chin'],
}

/** The zones of another canvas that stand for some zones, each once. */
export function movedZones(zones: readonly ZoneId[], to: Ground): ZoneId[] {
  return [
    ...new Set(
      zones.flatMap((id): ZoneId[] =>
        to.zone(id)
          ? [id]
          : to.arm
            ? [TO_ARM[plainZone(id)] ?? 'lower band']
            : (TO_FACE[id as ArmZone] ?? ['face']),
      ),
    ),
  ]
}
