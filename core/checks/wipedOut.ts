import { clockwise, offset, regionOf, type Polygon } from '../geometry'
import { areaOf, type Rework, type World } from '../look'
import { ofOneKind, type Fix } from './finding'

/** More of a print than this share within a cleaned edge is no edge any more (common practice). */
const MOST = 0.4
/** A brush cleans no narrower edge than this, mm. */
const NARROWEST = 1

/** The prints whose edges are cleaned, as one region. */
const printsUnder = ({ over, id }: Rework, world: World): Polygon[] =>
  regionOf(
    over.flatMap(step => clockwise(world.host?.(step, id)?.rings(null, world) ?? [])),
    'nonzero',
  )

/** As many pieces of a print stand for all of it: shrinking thousands would take seconds. */
const PIECES = 40

/** Some pieces of a print, evenly chosen among all. */
function somePieces(prints: readonly Polygon[]): Polygon[] {
  const every = Math.max(1, Math.ceil(prints.length / PIECES))
  return prints.filter((_, i) => i % every === 0)
}

/** Share of some prints that lies within a band along their edges, mm wide, half of it inside. */
const shareIn = (prints: readonly Polygon[], width: number): number =>
  1 - areaOf(offset(prints, -width / 2)) / Math.max(1e-6, areaOf(prints))

/** Cleaning the edges of what is hardly wider than the edge wipes it out. */
export const wipedOut = ofOneKind('rework', ({ step, world }) => {
  if (step.area !== 'rim' || step.act === 'blend') return []
  const prints = somePieces(printsUnder(step, world))
  const share = prints.length ? shareIn(prints, step.width) : 0
  if (share <= MOST) return []
  let width = step.width
  while (width - 0.5 >= NARROWEST && shareIn(prints, width) > MOST) width -= 0.5
  const fix: Fix | null =
    shareIn(prints, width) <= MOST
      ? { words: `Clean only ${width} mm of the edge`, sets: [{ path: ['width'], to: width }] }
      : { words: 'Take this step out', sets: [], goes: 'out' }
  return [
    {
      level: 'warning',
      title: `Wipes out ${Math.round(100 * share)} % of the print`,
      why: `The cleaned edge is ${step.width} mm wide, half of it inside the print, and the print has parts that are hardly wider.`,
      fix,
    },
  ]
})
