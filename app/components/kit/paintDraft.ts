import {
  estimatedPaint,
  estimatedSwatch,
  hexOf,
  linearOf,
  USUAL_HIDING,
  type Paint,
  type Strip,
} from '#core/paint'

type Alone = Omit<Paint, 'id' | 'strips'>
/** A paint while it is being written. */
export type PaintDraft = { -readonly [K in keyof Alone]: Alone[K] } & {
  strips: { -readonly [K in keyof Strip]: Strip[K] }[]
}

/** A paint of the kit as a draft; a fresh one when there is none. */
export function draftOf(paint: Paint | null): PaintDraft {
  if (!paint) return { ...estimatedPaint('', '#7a2e5d'), strips: [] }
  const { id: _id, strips, ...rest } = toRaw(paint)
  return { ...rest, strips: strips.map(s => ({ ...s })) }
}

/** A draft with the swatch that follows from its colour alone. */
export const usual = (draft: PaintDraft, hiding = USUAL_HIDING): PaintDraft => ({
  ...draft,
  ...estimatedSwatch(draft.colour, hiding),
})

/** The mean of some colours, band by band of linear light. */
export function meanOf(list: readonly string[]): string {
  const band = (k: 0 | 1 | 2) => list.reduce((s, c) => s + linearOf(c)[k], 0) / list.length
  return hexOf([band(0), band(1), band(2)])
}
