import { boxOf, reversed, signedArea, type Ring } from '../../geometry'

/** Only from openings of this area on does runny paint gather to a drip, mm2 (common practice). */
const LEAST_AREA = 14
/** As many drips run from one print at most, and from as many of its openings, 0 to 1 (common practice). */
const MOST = 14
const SHARE = 0.45
/** How long drips get, mm, and how wide, mm (common practice). */
const LENGTH = [3, 13] as const
const WIDTH = [0.7, 1.5] as const

/** A repeatable number in [0, 1) for an opening of a step. */
function chance(id: string, n: number): number {
  let h = Math.imul(n + 1, 0x9e3779b1)
  for (const c of id) h = Math.imul(h ^ c.charCodeAt(0), 16777619)
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b)
  return ((h ^ (h >>> 13)) >>> 0) / 4294967296
}

/** A drip that hangs from a point: thin, with a round end that is a little wider. */
function drip(x: number, y: number, length: number, width: number): Ring {
  const thin = width * 0.32
  const end = y + length - width / 2
  const points = [x - width * 0.8, y - 0.8, x - thin, y + 0.25 * length, x - thin, end - width]
  for (let i = 0; i <= 10; i++) {
    const a = Math.PI * (1 - i / 10)
    points.push(x + (width / 2) * Math.cos(a), end + (width / 2) * Math.sin(a))
  }
  points.push(x + thin, end - width, x + thin, y + 0.25 * length, x + width * 0.8, y - 0.8)
  return Float64Array.from(points)
}

/**
 * Where runny paint runs down from what was printed: from the lowest points of its larger shapes. Which of them
 * drip is a matter of chance, the same every time. An estimate: nobody knows beforehand where paint will run.
 * @param rings rings as they lie on the skin, y downward, mm; those that run the other way round are holes
 * @param id what tells one print from another
 */
export function dripsFrom(rings: readonly Ring[], id: string): Ring[] {
  const found: Ring[] = []
  const largest = rings.reduce(
    (most, r) => (Math.abs(signedArea(r)) > Math.abs(most) ? signedArea(r) : most),
    0,
  )
  rings.forEach((ring, n) => {
    // Nothing hangs from a hole: paint runs from the edge above it, which is not told apart here.
    if (signedArea(ring) > 0 !== largest > 0) return
    if (found.length >= MOST || chance(id, n) > SHARE) return
    if (Math.abs(signedArea(ring)) < LEAST_AREA) return
    const { maxY } = boxOf(ring)
    let low = 1
    for (let i = 1; i < ring.length; i += 2) if (ring[i]! === maxY) low = i
    const [shortest, longest] = LENGTH
    const [narrowest, widest] = WIDTH
    const length = shortest + (longest - shortest) * chance(id, n + 1000) ** 2
    const width = narrowest + (widest - narrowest) * chance(id, n + 2000)
    const made = drip(ring[low - 1]!, maxY, length, width)
    found.push(signedArea(made) > 0 === signedArea(ring) > 0 ? made : reversed(made))
  })
  return found
}
