import { perimeter, type Point, type Ring } from '../geometry'
import {
  edgesOf,
  islandsOf,
  measurable,
  necksOf,
  readSheetFile,
  slotsOf,
  type SheetGeometry,
} from '../stencil'

/** A small stand-in for a cutting machine: how fast it is and how near two cuts may lie. */
export interface CutterSettings {
  readonly cutSpeed: number
  readonly travelSpeed: number
  readonly liftSeconds: number
  readonly leastGap: number
}

/** A desktop cutter as it might be (common practice): mm/s, s, mm. */
export const CUTTER: CutterSettings = { cutSpeed: 25, travelSpeed: 120, liftSeconds: 0.35, leastGap: 0.8 }

/** What the cutter reports of a job. Lengths mm, areas mm2. */
export interface CutReport {
  readonly cuts: number
  readonly cutLength: number
  readonly travel: number
  readonly seconds: number
  /** Pieces of sheet that hang on nothing. */
  readonly falling: { at: Point; area: number }[]
  /** Places where two cuts come nearer than the machine can hold, narrowest first. */
  readonly close: { at: Point; gap: number }[]
}

/**
 * The order of cuts: the nearest opening next, the sheet's edge last, so that the sheet stays flat while it
 * is cut.
 */
function cutOrder(sheet: SheetGeometry): Ring[] {
  const left = sheet.openings.flatMap(o => [...o.holes, o.outer])
  const order: Ring[] = []
  let x = -sheet.width / 2,
    y = -sheet.height / 2
  while (left.length) {
    let best = 0,
      least = Infinity
    left.forEach((ring, i) => {
      const d = (ring[0]! - x) ** 2 + (ring[1]! - y) ** 2
      if (d < least) {
        least = d
        best = i
      }
    })
    const [ring] = left.splice(best, 1)
    order.push(ring!)
    ;[x, y] = [ring![0]!, ring![1]!]
  }
  return [...order, sheet.outline]
}

/**
 * "Cuts" a file and reports.
 * @param file text of a cut file, SVG or DXF in mm
 * @throws RangeError with a sentence when the file cannot be read
 */
export function cut(file: string, settings: CutterSettings = CUTTER): CutReport {
  const { sheet } = readSheetFile(file)
  const order = cutOrder(sheet)
  const cutLength = order.reduce((l, ring) => l + perimeter(ring), 0)
  let travel = 0,
    x = -sheet.width / 2,
    y = -sheet.height / 2
  for (const ring of order) {
    travel += Math.hypot(ring[0]! - x, ring[1]! - y)
    ;[x, y] = [ring[0]!, ring[1]!]
  }
  const measured = measurable(sheet)
  const edges = edgesOf(measured)
  const { bridges, necks } = necksOf(edges, settings.leastGap)
  const narrow = slotsOf(measured, edges, necks, settings.leastGap).filter(s => s.width < settings.leastGap)
  const middle = (n: { from: Point; to: Point }): Point => [
    (n.from[0] + n.to[0]) / 2,
    (n.from[1] + n.to[1]) / 2,
  ]
  return {
    cuts: order.length,
    cutLength,
    travel,
    seconds:
      cutLength / settings.cutSpeed + travel / settings.travelSpeed + order.length * settings.liftSeconds,
    falling: islandsOf(sheet).map(i => ({ at: [i.ring[0]!, i.ring[1]!] as Point, area: Math.abs(i.area) })),
    close: [...bridges, ...narrow].map(n => ({ at: middle(n), gap: n.width })).sort((a, b) => a.gap - b.gap),
  }
}
