import type { Paint } from '#core/paint'

/**
 * What a paint looks like in its pan, as a CSS background: one colour, or a split cake's strips by their
 * widths.
 */
export function swatchOf({ colour, strips }: Pick<Paint, 'colour'> & Partial<Pick<Paint, 'strips'>>): string {
  if (!strips?.length) return colour
  const total = strips.reduce((sum, s) => sum + s.width, 0)
  let end = 0
  const stops = strips.map(({ colour: c, width }) => {
    const from = end
    end += (100 * width) / total
    return `${c} ${from.toFixed(1)}% ${end.toFixed(1)}%`
  })
  return `linear-gradient(to right, ${stops.join(', ')})`
}
