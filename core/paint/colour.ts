import { converter, formatHex, parse } from 'culori'

/** A colour in linear light, each band 0 to 1 (sRGB primaries). */
export type LinearRgb = readonly [r: number, g: number, b: number]

const toLinear = converter('lrgb')

/** A CSS hex colour in linear light. Throws RangeError when the text is no colour. */
export function linearOf(hex: string): LinearRgb {
  const colour = toLinear(parse(hex))
  if (!colour) throw new RangeError(`"${hex.slice(0, 30)}" is not a colour; write it as #RRGGBB.`)
  return [colour.r, colour.g, colour.b]
}

/** A linear-light colour as hex, clipped to the screen's range. */
export const hexOf = ([r, g, b]: LinearRgb): string => formatHex({ mode: 'lrgb', r, g, b })

/** The mix of two linear colours, `t` of the second. */
export const mixLinear = (a: LinearRgb, b: LinearRgb, t: number): LinearRgb => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
]

/** A linear value as an sRGB byte (IEC 61966-2-1), through a table of 4096 steps. */
export function srgbByte(linear: number): number {
  return GAMMA[linear <= 0 ? 0 : linear >= 1 ? 4095 : (linear * 4095 + 0.5) | 0]!
}

/** An sRGB byte in linear light (IEC 61966-2-1). */
export const linearOfByte = (byte: number): number => LINEAR[byte]!

const LINEAR = Float64Array.from({ length: 256 }, (_, i) => {
  const v = i / 255
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4
})
const GAMMA = Uint8Array.from({ length: 4096 }, (_, i) => {
  const v = i / 4095
  return Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055))
})
