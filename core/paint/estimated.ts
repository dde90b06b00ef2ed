import { hexOf } from './colour'
import { filmOver, USUAL_HIDING, WHITE_CARD } from './film'
import { opticsOfColour, type Paint } from './paint'

/** The swatch that follows from a colour alone, over black and over white: an estimate. */
export function estimatedSwatch(
  colour: string,
  hiding = USUAL_HIDING,
): Pick<Paint, 'overBlack' | 'overWhite' | 'measured'> {
  const optics = opticsOfColour(colour, hiding)
  return {
    overBlack: hexOf(filmOver(optics, 1, [0, 0, 0])),
    overWhite: hexOf(filmOver(optics, 1, [WHITE_CARD, WHITE_CARD, WHITE_CARD])),
    measured: false,
  }
}

/** A matte paint of which only a name and a colour are known; what its label says nobody has entered. */
export const estimatedPaint = (name: string, colour: string): Omit<Paint, 'id'> => ({
  name,
  finish: 'matte',
  colour,
  ...estimatedSwatch(colour),
  strips: [],
  eyeSafe: null,
  lipSafe: null,
  openedOn: null,
  months: 24,
  grams: null,
  cakeGrams: 30,
  price: null,
})

/** The colours that a first kit has, the lightest and the darkest first (common practice). */
export const STARTER_SET: readonly Omit<Paint, 'id'>[] = [
  estimatedPaint('White', '#f4f2ec'),
  estimatedPaint('Black', '#17161a'),
  estimatedPaint('Red', '#b7202b'),
  estimatedPaint('Orange', '#e0641f'),
  estimatedPaint('Yellow', '#f1c52f'),
  estimatedPaint('Light green', '#6ca544'),
  estimatedPaint('Dark green', '#2c6a3c'),
  estimatedPaint('Light blue', '#7fb9e2'),
  estimatedPaint('Dark blue', '#1f3f8f'),
  estimatedPaint('Violet', '#5d2f86'),
  estimatedPaint('Pink', '#e48ab0'),
  estimatedPaint('Brown', '#5a3826'),
]
