/** Millimetres in one inch, exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4

/** CSS reference pixels in one inch (CSS Values and Units Level 4, section 6.2). */
const PX_PER_INCH = 96

/** Millimetres in one CSS pixel. */
export const MM_PER_PX = MM_PER_INCH / PX_PER_INCH

/** ISO 216 sheet sizes in mm, portrait: [width, height]. */
export const PAPER = {
  A4: [210, 297],
  A5: [148, 210],
  A6: [105, 148],
} as const satisfies Record<string, readonly [number, number]>

/** Millimetres in one of each CSS absolute length unit (CSS Values and Units Level 4, section 6.2). */
const MM_PER_UNIT: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  q: 0.25,
  in: MM_PER_INCH,
  pt: MM_PER_INCH / 72,
  pc: MM_PER_INCH / 6,
  px: MM_PER_PX,
}

const LENGTH = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z%]*)\s*$/i

/** Letters of the longest text that can be a length. */
const MOST_LETTERS = 64

/**
 * Splits a length such as `12.5mm` into its number and its unit.
 * @returns `{ value, unit }` with the unit in lower case ('' when there is none), or null when it is no
 *   length.
 */
export function splitLength(text: string): { value: number; unit: string } | null {
  const m = text.length > MOST_LETTERS ? null : LENGTH.exec(text)
  if (!m) return null
  const value = Number(m[1])
  return Number.isFinite(value) ? { value, unit: m[2]!.toLowerCase() } : null
}

/**
 * A CSS absolute length in millimetres; a bare number is CSS pixels.
 * @returns mm, or null for a relative unit (%, em ...) or no length at all.
 */
export function lengthInMm(text: string): number | null {
  const length = splitLength(text)
  if (!length) return null
  const perUnit = MM_PER_UNIT[length.unit || 'px']
  return perUnit === undefined ? null : length.value * perUnit
}

/** A number to one decimal, never -0: how lengths (mm) and angles (degrees) stand in a look. */
export const tenth = (v: number): number => Math.round(v * 10) / 10 + 0

/** A point to a tenth of a millimetre, as a look keeps it. */
export const tenthPoint = ([x, y]: readonly [number, number]): [number, number] => [tenth(x), tenth(y)]

/** Degrees as radians. */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180

/** Radians as degrees. */
export const degrees = (rad: number): number => (rad * 180) / Math.PI

/** An angle in degrees brought into (-180, 180]. */
export function wrapDegrees(angle: number): number {
  const a = ((angle % 360) + 360) % 360
  return a > 180 ? a - 360 : a
}
