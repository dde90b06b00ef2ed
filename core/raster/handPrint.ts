import { filmOf, linearOf, opacityOf, srgbByte, type Tool, type Wetness } from '../paint'
import { noise, smoothstep } from './grid'

/** How broken a print is, and how much it shines, by wetness (common practice). */
const BROKEN: Readonly<Record<Wetness, number>> = { chalky: 0.85, tacky: 0.22, damp: 0.05, runny: 0 }
const WET: Readonly<Record<Wetness, number>> = { chalky: 0, tacky: 0.02, damp: 0.14, runny: 0.26 }

/**
 * The print that a tool of some wetness should leave on the back of the hand, in a dark paint.
 * @param edge its edge spread, mm
 * @param size pixels to a side; the print fills about two thirds
 */
export function handPrint(
  tool: Tool,
  edge: number,
  wetness: Wetness,
  skin: string,
  size: number,
): { rgba: Uint8ClampedArray<ArrayBuffer>; width: number; height: number } {
  const rgba = new Uint8ClampedArray(4 * size * size)
  const ground = linearOf(skin)
  const ink = linearOf('#3b1f4a')
  const across = Math.min(tool.tip, 32)
  const perMm = (size * 0.66) / across
  const creep = edge * perMm * 2
  const film = filmOf(tool, wetness, 2)
  for (let j = 0; j < size; j++) {
    for (let i = 0; i < size; i++) {
      const x = i - size / 2
      const y = j - size / 2
      const angle = Math.atan2(y, x)
      const wave =
        1 +
        (wetness === 'runny' ? 0.16 : 0.03) *
          (noise(Math.cos(angle) * 2.2 + 5, Math.sin(angle) * 2.2 + 5, 21) - 0.5) *
          2
      const edge = size * 0.3 * wave - Math.hypot(x, y * 1.12)
      const cover = smoothstep(-Math.max(0.8, creep), Math.max(0.8, creep * 0.4), edge)
      const pores = noise(i * 0.42, j * 0.42, 31) * 0.6 + noise(i * 1.1, j * 1.1, 32) * 0.4
      const hold = 1 - BROKEN[wetness] * smoothstep(0.28, 0.62, pores)
      const a = cover * hold * opacityOf(film + 0.8)
      // Wet paint gathers at its rim and catches the light.
      const rim = wetness === 'runny' ? 0.35 * Math.exp(-((edge - 2) ** 2) / 6) : 0
      const shine =
        WET[wetness] *
        cover *
        Math.exp(-(((x + size * 0.1) ** 2 + (y + size * 0.12) ** 2) / (size * size * 0.012)))
      const p = 4 * (j * size + i)
      const mottle = 1 + 0.06 * (noise(i * 0.3, j * 0.3, 33) - 0.5)
      for (let k = 0; k < 3; k++)
        rgba[p + k] = srgbByte(ground[k]! * mottle * (1 - a) + ink[k]! * a * (1 - rim) + shine)
      rgba[p + 3] = 255
    }
  }
  return { rgba, width: size, height: size }
}
