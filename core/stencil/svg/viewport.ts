import { compose, scaling, translation, type Affine } from '../../geometry'

/** A viewBox: its corner and its size, in user units. */
export type ViewBox = readonly [number, number, number, number]

/** The four numbers of a viewBox; null when there is none. Throws RangeError when it is no box. */
export function viewBoxOf(text: string | undefined): ViewBox | null {
  if (text === undefined) return null
  const v = text
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const [x, y, width, height] = v
  if (v.length !== 4 || v.some(n => !Number.isFinite(n)) || !(width! > 0 && height! > 0))
    throw new RangeError(
      `The viewBox "${text.slice(0, 60)}" needs four numbers, with a width and height above zero.`,
    )
  return [x!, y!, width!, height!]
}

const SHIFT: Readonly<Record<string, number>> = { Min: 0, Mid: 0.5, Max: 1 }

/**
 * The map from a viewBox into a viewport of some size, which begins at 0, 0 (SVG 1.1, sections 7.7 and 7.8).
 * @param aspect the attribute preserveAspectRatio
 */
export function fitted([x, y, w, h]: ViewBox, width: number, height: number, aspect = ''): Affine {
  const kx = width / w
  const ky = height / h
  if (/^\s*none/.test(aspect)) return compose([kx, 0, 0, ky, 0, 0], translation(-x, -y))
  const [, ax = 'Mid', ay = 'Mid'] = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(aspect) ?? []
  const k = /slice/.test(aspect) ? Math.max(kx, ky) : Math.min(kx, ky)
  const at = translation((width - k * w) * SHIFT[ax]!, (height - k * h) * SHIFT[ay]!)
  return compose(at, compose(scaling(k), translation(-x, -y)))
}
