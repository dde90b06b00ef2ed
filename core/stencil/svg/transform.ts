import {
  compose,
  IDENTITY,
  lengthInMm,
  MM_PER_PX,
  radians,
  rotation,
  scaling,
  translation,
  type Affine,
} from '../../geometry'

const CALL = /([a-zA-Z]+)\s*\(([^)]*)\)/g
const VALUE = /([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)([a-z%]*)/gi

/** Degrees in a unit of angle. */
const DEGREES: Readonly<Record<string, number>> = {
  'deg': 1,
  '': 1,
  'rad': 180 / Math.PI,
  'turn': 360,
  'grad': 0.9,
}

/** A value in user units or degrees. */
function plain(name: string, [, digits, unit = '']: RegExpMatchArray): number {
  const value = Number(digits)
  const small = unit.toLowerCase()
  if (small === '') return value
  if (small in DEGREES) return value * DEGREES[small]!
  const mm = lengthInMm(`${digits}${small}`)
  if (mm === null) throw new RangeError(`The transform "${name}" has the relative length ${digits}${unit}.`)
  return mm / MM_PER_PX
}

/**
 * A transform as one affine map: as an SVG attribute (SVG 1.1, section 7.6) or as CSS, with units (CSS Transforms
 * 1, section 12).
 * @throws RangeError with a sentence when a function is unknown or has the wrong number of values.
 */
export function parseTransform(text: string | undefined): Affine {
  if (!text || text === 'none') return IDENTITY
  let total = IDENTITY
  for (const [, name, list] of text.matchAll(CALL))
    total = compose(
      total,
      single(
        name!,
        [...list!.matchAll(VALUE)].map(v => plain(name!, v)),
      ),
    )
  return total
}

function single(name: string, v: number[]): Affine {
  const n = v.length
  if (name === 'matrix' && n === 6) return [v[0]!, v[1]!, v[2]!, v[3]!, v[4]!, v[5]!]
  if (name === 'translate' && (n === 1 || n === 2)) return translation(v[0]!, v[1] ?? 0)
  if (name === 'translateX' && n === 1) return translation(v[0]!, 0)
  if (name === 'translateY' && n === 1) return translation(0, v[0]!)
  if (name === 'scale' && (n === 1 || n === 2)) return scaling(v[0]!, v[1] ?? v[0]!)
  if (name === 'scaleX' && n === 1) return scaling(v[0]!, 1)
  if (name === 'scaleY' && n === 1) return scaling(1, v[0]!)
  if (name === 'rotate' && (n === 1 || n === 3)) return rotation(v[0]!, v[1] ?? 0, v[2] ?? 0)
  if (name === 'skewX' && n === 1) return [1, 0, Math.tan(radians(v[0]!)), 1, 0, 0]
  if (name === 'skewY' && n === 1) return [1, Math.tan(radians(v[0]!)), 0, 1, 0, 0]
  if (name === 'skew' && (n === 1 || n === 2))
    return [1, Math.tan(radians(v[1] ?? 0)), Math.tan(radians(v[0]!)), 1, 0, 0]
  throw new RangeError(`The transform "${name}(${v.join(' ')})" is not one that SVG knows.`)
}

/** A transform about a point of the user space; `origin` is CSS's transform-origin in lengths. */
export function aboutOrigin(map: Affine, origin: string | undefined): Affine {
  const [x = 0, y = 0] = [...(origin ?? '').matchAll(VALUE)].map(v =>
    v[2] === '%' ? 0 : plain('transform-origin', v),
  )
  return x || y ? compose(translation(x, y), compose(map, translation(-x, -y))) : map
}
