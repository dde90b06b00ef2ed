import { converter, parse } from 'culori'

const toOklch = converter('oklch')

/** Hues by where they end, degrees in OKLCH. */
const HUES = [
  [8, 'pink'],
  [38, 'red'],
  [72, 'orange'],
  [118, 'yellow'],
  [162, 'green'],
  [212, 'teal'],
  [252, 'blue'],
  [285, 'blue'],
  [322, 'purple'],
  [360, 'pink'],
] as const

/** Less colourful than this is a grey, in OKLCH. */
const GREY = 0.035
const WHITE = 0.95
const BLACK = 0.17
const DARKEST = 0.27
const DARK = 0.45

/** The name of a hue, which for some depends on how light and how colourful it is. */
function hueWords(l: number, c: number, h: number): string {
  const hue = HUES.find(([until]) => h < until)?.[1] ?? 'pink'
  const warm = hue === 'orange' || hue === 'yellow'
  if (hue === 'yellow' && h > 98 && l < 0.75) return 'olive green'
  // Dark orange and dark yellow are called brown, and so are dull ones.
  if (warm && l < (hue === 'orange' ? 0.6 : 0.68)) return 'brown'
  if (warm && c < 0.09 && l < 0.86) return 'light brown'
  if (hue === 'red' && l > 0.75) return 'pink'
  return hue === 'pink' && h > 300 && h < 335 && l < 0.55 ? 'purple' : hue
}

/**
 * A colour in plain words: "dark blue", "pale pink", "black". By lightness, chroma and hue in OKLCH (Ottosson
 * 2020); where one name ends and the next begins is our own estimate.
 * @throws RangeError when the text is no colour
 */
export function colourWords(hex: string): string {
  const colour = toOklch(parse(hex))
  if (!colour) throw new RangeError(`"${hex.slice(0, 30)}" is not a colour; write it as #RRGGBB.`)
  const { l, c, h = 0 } = colour
  if (l < BLACK || (l < DARKEST && c < 2 * GREY)) return 'black'
  if (c < GREY) {
    if (l > WHITE - 0.03) return 'white'
    return l > 0.75 ? 'light grey' : l < 0.45 ? 'dark grey' : 'grey'
  }
  const hue = hueWords(l, c, h)
  if (l > 0.86 && c < (hue === 'yellow' ? 0.08 : 0.11)) return `pale ${hue}`
  return l < DARK && !hue.includes(' ') ? `dark ${hue}` : hue
}
