import {
  bearing,
  boxOf,
  distance,
  mix,
  ringHolds,
  shareOnLine,
  wrapDegrees,
  type Point,
  type Ring,
} from '../../geometry'
import {
  ownSide,
  type Ground,
  type Laid,
  type Landmarks,
  type NamedLandmark,
  type SideLandmark,
} from '../../skin'
import type { SheetGeometry } from '../../stencil'

/** Width of a finger until the painter has measured one, mm (common practice). */
export const FINGER_MM = 16

/** A position against named features; left and right are the person's own. */
export interface Where {
  readonly midline: string
  /** Against the nearest feature. */
  readonly landmark: string
  readonly nearest: NamedLandmark
  /** Against a second feature that lies another way; null where none helps. */
  readonly second: string | null
}

/** Closer than this counts as on the spot, mm. */
const ON = 0.5

const mm = (v: number): string => `${(Math.round(v * 2) / 2).toFixed(1).replace(/\.0$/, '')} mm`

/** A length in finger widths, to the half: "1½ fingers". */
export function fingersOf(length: number, finger: number): string {
  const halves = Math.round((length / finger) * 2)
  if (halves === 0) return 'under ½ finger'
  const whole = Math.floor(halves / 2)
  const words = `${whole || ''}${halves % 2 ? '½' : ''}`
  return `${words} ${halves <= 2 ? 'finger' : 'fingers'}`
}

/** A way across the skin in words: the person's own left or right, or which side of an arm. */
function acrossWords({ arm }: Ground, dx: number): string {
  if (!arm) return dx < 0 ? 'to their right of' : 'to their left of'
  const thumb = arm.canvas.side === 'left' ? -1 : 1
  return Math.sign(dx) === thumb ? 'toward the thumb from' : 'toward the little finger from'
}

/** How far one point lies from a mark, in words: "18 mm (1 finger) above and 4 mm out from". */
function offWords(ground: Ground, at: Point, mark: NamedLandmark, finger: number | null): string {
  const [dx, dy] = [at[0] - mark.at[0], at[1] - mark.at[1]]
  // Beside a mark of one side, out and in say it without a left and a right.
  const out = mark.side === 'mid' ? null : (mark.side === 'left') === dx < 0 ? 'out' : 'in'

  const long = (v: number) => (finger === null ? mm(v) : `${mm(v)} (${fingersOf(v, finger)})`)
  const parts: string[] = []
  if (Math.abs(dy) >= ON) parts.push(`${long(Math.abs(dy))} ${dy < 0 ? 'above' : 'below'}`)
  if (Math.abs(dx) >= ON) parts.push(`${long(Math.abs(dx))} ${out ? `${out} from` : acrossWords(ground, dx)}`)
  return parts.length === 0 ? 'on' : parts.join(' and ')
}

/**
 * Where a point of the skin is, in a painter's words.
 * @param under the outline of the sheet that lies there: what it hides cannot be measured from
 * @param finger width of the painter's finger, mm; null leaves fingers out
 */
export function whereIs(
  ground: Ground,
  at: Point,
  under: Ring | null = null,
  finger: number | null = null,
): Where {
  const [x] = at
  const { marks } = ground
  const seen = marks.filter(m => under === null || !ringHolds(under, ...m.at))
  // On the midline a landmark of the midline says it best: it needs no "left" or "right".
  const fit = seen.filter(m => Math.abs(x) >= ON || m.side === 'mid')
  const list = fit.length ? fit : marks
  const nearest = list.reduce((best, mark) => (distance(mark.at, at) < distance(best.at, at) ? mark : best))
  const first = bearing(at, nearest.at)
  // The second one lies off to the side of the first, so that both together fix the spot.
  const second = list
    .filter(m => {
      const turn = Math.abs(wrapDegrees(bearing(at, m.at) - first))
      return m !== nearest && turn > 45 && turn < 135 && distance(m.at, at) > ON
    })
    .sort((a, b) => distance(a.at, at) - distance(b.at, at))[0]
  return {
    midline:
      Math.abs(x) < ON
        ? 'on the midline'
        : `${mm(Math.abs(x))}${finger === null ? '' : ` (${fingersOf(Math.abs(x), finger)})`} ${acrossWords(ground, x)} the midline`,
    landmark: `${offWords(ground, at, nearest, finger)} the ${nearest.words}`,
    nearest,
    second:
      second && distance(nearest.at, at) > ON
        ? `${mm(distance(second.at, at))}${finger === null ? '' : ` (${fingersOf(distance(second.at, at), finger)})`} from the ${second.words}`
        : null,
  }
}

/** A tilt as a clock direction for the sheet's top: "12 o'clock". */
export function clockOf(tilt: number): string {
  const halves = Math.round((((tilt % 360) + 360) % 360) / 15)
  const hour = Math.floor(halves / 2) % 12 || 12
  return halves % 2 ? `half past ${hour}` : `${hour} o'clock`
}

/** A direction counts as aimed at a feature when it passes it by no more than this, degrees. */
const AIMED = 7

/**
 * What a direction from a point leads to: "points to the bridge of the nose"; null when it leads to nothing
 * named.
 */
export function aimWords({ marks }: Ground, at: Point, heading: number): string | null {
  const hit = marks
    .filter(m => distance(m.at, at) > 8 && Math.abs(wrapDegrees(bearing(at, m.at) - heading)) < AIMED)
    .sort((a, b) => distance(a.at, at) - distance(b.at, at))[0]
  return hit ? `points to the ${hit.words}` : null
}

/** A line of a face that an edge of a sheet can be laid along. */
export interface FeatureLine {
  readonly words: string
  readonly line: readonly Point[]
}

/** Lines of a face that an edge of a sheet can be laid along. */
export function featureLines({ face }: Ground): FeatureLine[] {
  if (!face) return []
  const { mid, left, right } = face.landmarks
  const sides: [string, Landmarks['left']][] = [
    [ownSide('left'), left],
    [ownSide('right'), right],
  ]
  const of = (words: string, names: readonly SideLandmark[]) =>
    sides.map(([side, s]) => ({ words: `${side} ${words}`, line: names.map(n => s[n]) }))
  return [
    ...of('brow', ['browStart', 'browPeak', 'browTail']),
    ...of('lower lid', ['innerEye', 'outerEye']),
    ...of('cheekbone', ['noseWing', 'cheekbone', 'earFront']),
    ...of('side of the nose', ['innerEye', 'noseWing']),
    { words: 'midline', line: [mid.hairline, mid.nasion, mid.noseTip, mid.chin] },
    { words: 'hairline', line: [left.temple, mid.hairline, right.temple] },
  ]
}

/** How near a sheet's edge must run to a line, mm, and how nearly along it, degrees. */
const ALONG = { mm: 5, degrees: 22 }

/** Which edge of a sheet lies along what: "long edge along the left brow"; null when none does. */
export function edgeWords(ground: Ground, laid: Laid, sheet: SheetGeometry): string | null {
  const { minX, minY, maxX, maxY } = boxOf(sheet.outline)
  const wide = maxX - minX
  const tall = maxY - minY
  const edges: { words: string; ends: [Point, Point] }[] = [
    {
      words: 'top',
      ends: [
        [minX, minY],
        [maxX, minY],
      ],
    },
    {
      words: 'bottom',
      ends: [
        [minX, maxY],
        [maxX, maxY],
      ],
    },
    {
      words: 'left',
      ends: [
        [minX, minY],
        [minX, maxY],
      ],
    },
    {
      words: 'right',
      ends: [
        [maxX, minY],
        [maxX, maxY],
      ],
    },
  ]
  let best: { words: string; off: number } | null = null
  for (const {
    words,
    ends: [a, b],
  } of edges) {
    const points = Array.from({ length: 9 }, (_, i) =>
      laid.point([a[0] + ((b[0] - a[0]) * i) / 8, a[1] + ((b[1] - a[1]) * i) / 8]),
    )
    for (const { words: line, line: path } of featureLines(ground)) {
      // Only the stretch of the edge that runs beside the line counts; it must be a third of the edge at
      // least.
      const beside = points.map(p => nearestOn(path, p)).filter(n => n.inner)
      if (beside.length < 4) continue
      const off = beside.reduce((sum, n) => sum + n.distance, 0) / beside.length
      const turn =
        Math.abs(wrapDegrees(2 * (bearing(points[0]!, points[8]!) - beside[beside.length >> 1]!.bearing))) / 2
      if (off <= ALONG.mm && turn <= ALONG.degrees && (!best || off < best.off))
        best = { off, words: `${edgeName(words, wide, tall)} along the ${line}` }
    }
  }
  return best?.words ?? null
}

/** An edge by its length where that tells it apart, else by its side. */
function edgeName(words: string, wide: number, tall: number): string {
  const long = words === 'top' || words === 'bottom' ? wide > tall * 1.15 : tall > wide * 1.15
  const short = words === 'top' || words === 'bottom' ? wide * 1.15 < tall : tall * 1.15 < wide
  return long ? `long edge (${words})` : short ? `short edge (${words})` : `${words} edge`
}

/**
 * The nearest point of a line of points, how far it is, which way the line runs there, and whether it is no
 * end of the line.
 */
function nearestOn(
  path: readonly Point[],
  [x, y]: Point,
): { distance: number; bearing: number; inner: boolean } {
  let best = { distance: Infinity, bearing: 0, inner: false }
  for (let i = 1; i < path.length; i++) {
    const a = path[i - 1]!
    const b = path[i]!
    const t = shareOnLine(x, y, ...a, ...b)
    const d = distance([x, y], mix(a, b, Math.min(1, Math.max(0, t))))
    if (d < best.distance)
      best = {
        distance: d,
        bearing: bearing(a, b),
        inner: !((i === 1 && t < 0) || (i === path.length - 1 && t > 1)),
      }
  }
  return best
}
