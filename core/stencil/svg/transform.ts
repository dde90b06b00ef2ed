import { compose, IDENTITY, radians, rotation, scaling, translation, type Affine } from '../../geometry'

const CALL = /([a-zA-Z]+)\s*\(([^)]*)\)/g
const NUMBER = /[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi

/**
 * An SVG `transform` attribute as one affine map (SVG 1.1, section 7.6).
 * @throws RangeError with a sentence when a function is unknown or has the wrong number of values.
 */
export function parseTransform(text: string | undefined): Affine {
  if (!text) return IDENTITY
  let total = IDENTITY
  for (const [, name, list] of text.matchAll(CALL))
    total = compose(total, single(name!, (list!.match(NUMBER) ?? []).map(Number)))
  return total
}

function single(name: string, v: number[]): Affine {
  const n = v.length
  if (name === 'matrix' && n === 6) return [v[0]!, v[1]!, v[2]!, v[3]!, v[4]!, v[5]!]
  if (name === 'translate' && (n === 1 || n === 2)) return translation(v[0]!, v[1] ?? 0)
  if (name === 'scale' && (n === 1 || n === 2)) return scaling(v[0]!, v[1] ?? v[0]!)
  if (name === 'rotate' && (n === 1 || n === 3)) return rotation(v[0]!, v[1] ?? 0, v[2] ?? 0)
  if (name === 'skewX' && n === 1) return [1, 0, Math.tan(radians(v[0]!)), 1, 0, 0]
  if (name === 'skewY' && n === 1) return [1, Math.tan(radians(v[0]!)), 0, 1, 0, 0]
  throw new RangeError(`The transform "${name}(${v.join(' ')})" is not one that SVG knows.`)
}
