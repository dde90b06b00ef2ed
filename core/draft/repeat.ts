import { centroidOf, type Point } from '../geometry'
import { mapOpening, polygonOf, type Draft, type DraftOpening } from './draft'
import { openingsBox } from './even'

/** How a motif is repeated over a sheet: steps across and down, mm; every other row shifted by a share. */
export interface Repeat {
  readonly across: number
  readonly down: number
  /** Shift of every other row, as a share of the step across: 0 in line, 0.5 as bricks. */
  readonly shift: number
  /** Plastic left round the sheet's edge, mm. */
  readonly margin: number
  /** Every other row mirrored from left to right. */
  readonly flip: boolean
}

const MOST = 3000
const FINE = 0.05

/** How wide and how tall a motif is, mm. */
export function sizeOfMotif(motif: readonly DraftOpening[]): { width: number; height: number } {
  const box = openingsBox({ width: 0, height: 0, outline: [], openings: motif })
  return { width: box.maxX - box.minX, height: box.maxY - box.minY }
}

/** A motif about its own middle. */
function centred(motif: readonly DraftOpening[]): DraftOpening[] {
  const box = openingsBox({ width: 0, height: 0, outline: [], openings: motif })
  const x = (box.minX + box.maxX) / 2
  const y = (box.minY + box.maxY) / 2
  return motif.map(o => mapOpening(o, p => [p[0] - x, p[1] - y]))
}

/**
 * A motif repeated over a sheet wherever it lies whole within the margin.
 * @throws RangeError with a sentence when steps are smaller than the motif leaves room for a bridge, or too many
 */
export function repeated(draft: Draft, motif: readonly DraftOpening[], how: Repeat): DraftOpening[] {
  if (!motif.length) throw new RangeError('Choose the opening that is repeated first.')
  if (!(how.across > 0.5 && how.down > 0.5))
    throw new RangeError('Steps must be larger than half a millimetre.')
  const { width, height } = sizeOfMotif(motif)
  const [x, y] = [draft.width / 2 - how.margin - width / 2, draft.height / 2 - how.margin - height / 2]
  if (x < 0 || y < 0) throw new RangeError('The motif is larger than the stencil within its margin.')
  const one = centred(motif)
  const rows = Math.floor(y / how.down)
  const columns = Math.ceil(x / how.across) + 1
  if ((2 * rows + 1) * (2 * columns + 1) * motif.length > MOST)
    throw new RangeError(
      `That would be more than ${MOST.toLocaleString('en')} openings. Make the steps larger.`,
    )
  const out: DraftOpening[] = []
  for (let j = -rows; j <= rows; j++)
    for (let i = -columns; i <= columns; i++) {
      const odd = Math.abs(j) % 2
      const at: Point = [(i + odd * how.shift) * how.across, j * how.down]
      if (Math.abs(at[0]) > x + 1e-9) continue
      const sign = how.flip && odd ? -1 : 1
      out.push(...one.map(o => mapOpening(o, p => [at[0] + sign * p[0], at[1] + p[1]])))
    }
  return out
}

/** A line's points at equal steps, each with the way the line runs there, degrees. */
function alongLine(line: readonly Point[], step: number): { at: Point; way: number }[] {
  const lengths = line.slice(1).map((p, i) => Math.hypot(p[0] - line[i]![0], p[1] - line[i]![1]))
  const total = lengths.reduce((a, b) => a + b, 0)
  const count = Math.max(1, Math.floor(total / step))
  return Array.from({ length: count }, (_, n) => {
    let want = ((n + 0.5) * total) / count
    let k = 0
    while (k < lengths.length - 1 && want > lengths[k]!) want -= lengths[k++]!
    const [p, q] = [line[k]!, line[k + 1]!]
    const t = lengths[k]! > 0 ? want / lengths[k]! : 0
    return {
      at: [p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t],
      way: (Math.atan2(q[1] - p[1], q[0] - p[0]) * 180) / Math.PI,
    }
  })
}

/**
 * A motif set along a line, turned with it, at steps of about `step` mm.
 * @throws RangeError with a sentence when there is no motif or no line
 */
export function bordered(
  motif: readonly DraftOpening[],
  line: readonly Point[],
  step: number,
): DraftOpening[] {
  if (!motif.length) throw new RangeError('Choose the opening that is repeated first.')
  if (line.length < 2) throw new RangeError('Draw the line with two points at least.')
  if (!(step > 0.5)) throw new RangeError('Steps must be larger than half a millimetre.')
  const places = alongLine(line, step)
  if (places.length * motif.length > MOST)
    throw new RangeError(
      `That would be more than ${MOST.toLocaleString('en')} openings. Make the steps larger.`,
    )
  const one = centred(motif)
  return places.flatMap(({ at, way }) => {
    const c = Math.cos((way * Math.PI) / 180)
    const s = Math.sin((way * Math.PI) / 180)
    return one.map(o => mapOpening(o, ([x, y]) => [at[0] + c * x - s * y, at[1] + s * x + c * y]))
  })
}

/** How near to the middle an opening counts as lying on it, mm. */
const ON_AXIS = 0.4

/** A draft whose right half is the mirror image of its left; what lies across the middle stays. */
export function mirroredHalf(draft: Draft): Draft {
  const at = (o: DraftOpening) => centroidOf([polygonOf(o, FINE)])[0]
  const left = draft.openings.filter(o => at(o) < -ON_AXIS)
  const middle = draft.openings.filter(o => Math.abs(at(o)) <= ON_AXIS)
  const image = left.map(o => mapOpening(o, ([x, y]) => [-x, y]))
  return { ...draft, openings: [...left, ...middle, ...image] }
}
