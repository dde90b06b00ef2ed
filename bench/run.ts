import { Clipper, FillRule } from 'clipper2-ts'
import { shelf, shelfSvg } from '../demo/shelf'
import { ellipsePoints } from '../core/geometry/flatten'
import { ADULT_FACE, keepOuts, zoneRing } from '../core/skin'
import { analyse, readSvg, seatsFor, type Candidate, type SheetGeometry } from '../core/stencil'

/** Median time of a job over some runs, ms. */
function median(job: () => void, runs = 5): number {
  job()
  const times = Array.from({ length: runs }, () => {
    const t = performance.now()
    job()
    return performance.now() - t
  })
  return times.sort((a, b) => a - b)[runs >> 1]!
}

const row = (name: string, ms: number, against: string, base: number, limit: string) => console.log(`${name.padEnd(46)} ${ms.toFixed(0).padStart(6)} ms   ${(ms / base).toFixed(2).padStart(7)} x ${against} (${base.toFixed(0)} ms)   ${limit}`)

/** A halftone of 2,000 dots, 50 x 40 at a pitch of 2.8 mm. */
const dots = Array.from({ length: 2000 }, (_, i) => Float64Array.from(ellipsePoints((i % 50 - 24.5) * 2.8, (Math.floor(i / 50) - 19.5) * 2.8, 0.6 + 0.4 * (i % 50) / 50, 0.6 + 0.4 * (i % 50) / 50, 0.02)))
const halftone: SheetGeometry = { width: 150, height: 120, outline: Float64Array.from([-75, -60, 75, -60, 75, 60, -75, 60]), openings: dots.map(outer => ({ outer, holes: [] })) }
const paths = dots.map(ring => Array.from({ length: ring.length / 2 }, (_, i) => ({ x: Math.round(ring[2 * i]! * 1e4), y: Math.round(ring[2 * i + 1]! * 1e4) })))
const clipping = median(() => Clipper.union(paths, FillRule.NonZero), 3)
row('full analysis, 2,000 openings', median(() => analyse(halftone), 3), 'one clipping-library union', clipping, 'must be at most 10 x')

const drawer: Candidate[] = shelf.map(d => ({ ...d, axes: [], bridge: null, ...readSvg(shelfSvg(d.id)).sheet }))
const sheets = Array.from({ length: 200 }, (_, i) => drawer[i % drawer.length]!)
for (const zone of ['forehead', 'right.cheek'] as const) {
  const spot = { ring: zoneRing(ADULT_FACE, zone), even: zone === 'forehead', keepOuts: keepOuts(ADULT_FACE), focus: [0, 0] as const, zone: zone.replace('right.', '') }
  row(`what fits the ${zone}, 200 sheets`, median(() => void seatsFor(spot, sheets), 3), 'one clipping-library union', clipping, 'must be under 2,000 ms')
}
