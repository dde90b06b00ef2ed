import {
  contactGaps,
  isKind,
  paintedOpenings,
  passNumbers,
  placementsOf,
  spreadOf,
  type Step,
  type World,
} from '#core/look'
import { closedBridges } from '#core/checks'
import { layOn } from '#core/skin'

/** What comes of a step: how far each pass creeps, and where bridges close. */
export interface Outcome {
  readonly stepId: string
  readonly passes: { creep: number; typical: number; closed: number }[]
  readonly marks: [number, number][]
}

/** What comes of a stencil step; null of any other, and of one whose sheet is not there. */
export function outcomeOf(step: Step, world: World): Outcome | null {
  if (!isKind('sheet', step)) return null
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  const [place] = placementsOf(step, world)
  const laid = layOn(world.ground.surface, place!, true)
  const marks: [number, number][] = []
  const gaps = contactGaps(sheet, place!, world, paintedOpenings(step, world)[0]!)
  const passes = step.passes.map((pass, i) => {
    const { closed, creep } = closedBridges(step, pass, sheet, world, i)
    const spreads = spreadOf(step, pass, passNumbers(pass, sheet), gaps, world, i).sort((a, b) => a - b)
    for (const b of closed.slice(0, 80))
      marks.push(laid.point([(b.from[0] + b.to[0]) / 2, (b.from[1] + b.to[1]) / 2]) as [number, number])
    return { creep, typical: spreads[spreads.length >> 1] ?? 0, closed: closed.length }
  })
  return { stepId: step.id, passes, marks }
}
