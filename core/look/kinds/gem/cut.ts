import type { GemCut } from '../print'

/** A drop's round end: its radius, and how far behind the middle it lies, as shares of half its size. */
const DROP = { radius: 0.6, back: 0.34 } as const

/**
 * Distance from the middle of a gem to its rim in a direction (degrees from the way it points), as a share of
 * half its size.
 */
export function rimOf(cut: GemCut, degrees: number): number {
  const a = Math.abs(((degrees + 540) % 360) - 180)
  if (cut === 'round') return 1
  if (cut === 'drop') {
    // A round end and two straight flanks that touch it, up to the tip.
    const rad = (a * Math.PI) / 180
    const flank = Math.asin(DROP.radius / (1 + DROP.back))
    const touch = Math.atan2(DROP.radius * Math.cos(flank), DROP.radius * Math.sin(flank) - DROP.back)
    return rad < touch
      ? Math.sin(flank) / Math.sin(rad + flank)
      : -DROP.back * Math.cos(rad) + Math.sqrt(DROP.radius ** 2 - (DROP.back * Math.sin(rad)) ** 2)
  }
  // A star of five points: straight edges from point to notch.
  const k = Math.PI / 5
  const t = Math.abs((((((degrees * Math.PI) / 180) % (2 * k)) + 3 * k) % (2 * k)) - k)
  const inner = 0.46
  const x = Math.cos(k) * inner
  const y = Math.sin(k) * inner
  return y / (Math.sin(t) * (1 - x) + Math.cos(t) * y)
}
