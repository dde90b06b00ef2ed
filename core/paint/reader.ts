import { hexOf, linearOf } from './colour'
import type { Paint } from './paint'

/** Readings of the simulated colour reader scatter by this share (common practice of such devices). */
const SCATTER = 0.012

/**
 * The simulated colour reader: what a small reader would say of a paint's swatch, over black and over white.
 * It ships with the application in place of a device and scatters like one; the same number gives the same
 * reading.
 */
export function readSwatch(
  paint: Pick<Paint, 'overBlack' | 'overWhite'>,
  number: number,
): { overBlack: string; overWhite: string } {
  let state = (number * 2654435761 + 12345) >>> 0
  const next = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296 - 0.5
  }
  const read = (hex: string) => {
    const [r, g, b] = linearOf(hex)
    const off = () => 1 + 2 * SCATTER * next()
    return hexOf([r * off(), g * off(), b * off()])
  }
  return { overBlack: read(paint.overBlack), overWhite: read(paint.overWhite) }
}
