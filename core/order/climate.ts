/** The room in which somebody is painted. */
export interface Room {
  /** Degrees C. */
  readonly temperature: number
  /** Relative humidity, 0 to 1. */
  readonly humidity: number
  /** What moves the air or warms the skin. */
  readonly air: 'still' | 'fan' | 'sun'
}

/** The room for which drying times are told. */
export const USUAL_ROOM: Room = { temperature: 23, humidity: 0.5, air: 'still' }

/** Temperature of the skin, degrees C: what lies on it dries at that (common practice). */
const SKIN = 33
/** How much of its time a film needs in a draught or in the sun (common practice). */
const AIR = { still: 1, fan: 0.6, sun: 0.7 } as const satisfies Record<Room['air'], number>
/** Slower than so many times nothing is said to dry: it hardly does. */
const SLOWEST = 6

/**
 * Pressure of saturated water vapour, hPa (Magnus formula with the numbers of Alduchov and Eskridge 1996, Journal of
 * Applied Meteorology 35:601).
 * @param t degrees C
 */
export const vapourPressure = (t: number): number => 6.1094 * Math.exp((17.625 * t) / (243.04 + t))

/**
 * How many times as long as usual a film takes to dry in a room: water leaves the warm skin by the difference of
 * vapour pressures between it and the air.
 */
export function dryingFactor({ temperature, humidity, air }: Room): number {
  const drives = (t: number, share: number) => vapourPressure(SKIN) - share * vapourPressure(t)
  const usual = drives(USUAL_ROOM.temperature, USUAL_ROOM.humidity)
  const here = drives(temperature, humidity)
  return AIR[air] * (here > usual / SLOWEST ? usual / here : SLOWEST)
}

/** What is wrong with a room, as a sentence; null when nothing is. */
export function roomProblem({
  temperature,
  humidity,
}: Pick<Room, 'temperature' | 'humidity'>): string | null {
  if (!(temperature >= 0 && temperature <= 45)) return 'A room has between 0 and 45 °C.'
  if (!(humidity >= 0 && humidity <= 1)) return 'Humidity is between 0 and 100 %.'
  return null
}
