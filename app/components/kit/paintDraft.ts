import { toRaw } from 'vue'
import {
  filmOver,
  hexOf,
  linearOf,
  opticsOfColour,
  USUAL_HIDING,
  WHITE_CARD,
  type Paint,
  type Strip,
} from '#core/paint'

type Alone = Omit<Paint, 'id' | 'strips'>
/** A paint while it is being written. */
export type PaintDraft = { -readonly [K in keyof Alone]: Alone[K] } & {
  strips: { -readonly [K in keyof Strip]: Strip[K] }[]
}

const FRESH: PaintDraft = {
  name: '',
  finish: 'matte',
  colour: '#7a2e5d',
  overBlack: '#000000',
  overWhite: '#ffffff',
  measured: false,
  strips: [],
  eyeSafe: null,
  lipSafe: null,
  openedOn: null,
  months: 24,
  grams: null,
  cakeGrams: 30,
  price: null,
}

/** A paint of the kit as a draft; a fresh one when there is none. */
export function draftOf(paint: Paint | null): PaintDraft {
  if (!paint) return usual({ ...FRESH, strips: [] })
  const { id: _id, strips, ...rest } = toRaw(paint)
  return { ...rest, strips: strips.map(s => ({ ...s })) }
}

/** The swatch that follows from the colour alone. */
export function usual(draft: PaintDraft, hiding = USUAL_HIDING): PaintDraft {
  const optics = opticsOfColour(draft.colour, hiding)
  return {
    ...draft,
    measured: false,
    overBlack: hexOf(filmOver(optics, 1, [0, 0, 0])),
    overWhite: hexOf(filmOver(optics, 1, [WHITE_CARD, WHITE_CARD, WHITE_CARD])),
  }
}

/** The mean of some colours, band by band of linear light. */
export function meanOf(list: readonly string[]): string {
  const band = (k: 0 | 1 | 2) => list.reduce((s, c) => s + linearOf(c)[k], 0) / list.length
  return hexOf([band(0), band(1), band(2)])
}
