import type { Box } from '../../geometry'
import { leadOf, stateAfter } from '../../order'
import type { FilmState } from '../../paint'
import { heldAll } from './carried'
import { drySeconds, hostsIn, kindOf, type Step, type World, stepEffort } from '../kinds'

export const overlap = (a: readonly Box[], b: readonly Box[]): boolean =>
  a.some(p => b.some(q => p.minX < q.maxX && q.minX < p.maxX && p.minY < q.maxY && q.minY < p.maxY))

/**
 * The wettest film that a step finds beneath it, with the step that laid it and the seconds until it is dry.
 */
export interface Beneath {
  readonly state: FilmState
  readonly by: Step | null
  readonly wait: number
  /** Every step whose film is not dry there, with how wet it is. */
  readonly films: ReadonlyMap<string, FilmState>
}

const NONE: ReadonlyMap<string, FilmState> = new Map()
const WET: readonly FilmState[] = ['dry', 'tacky', 'wet']

/**
 * What every step finds beneath it, by the clock: the hands go on without waiting, but for steps that wait until
 * what lies beneath them is dry; everything dries meanwhile, wherever it lies.
 */
export function beneathAll(steps: readonly Step[], world: World): Map<string, Beneath> {
  const painted = steps.filter(s => !world.off?.has(s.id))
  const found = new Map<string, Beneath>(
    steps.map(s => [s.id, { state: 'dry', by: null, wait: 0, films: new Map() }]),
  )
  const laid: {
    readonly step: Step
    readonly boxes: readonly Box[]
    readonly end: number
    readonly dry: number
  }[] = []
  let now = 0
  for (const step of painted) {
    const boxes = kindOf(step).boxes(step, world)
    const films = new Map<string, FilmState>()
    let worst: Omit<Beneath, 'films'> = { state: 'dry', by: null, wait: 0 }
    let wait = 0
    // The last one first: of two that are as wet, it is the one that is told.
    for (const below of laid.toReversed()) {
      const state = stateAfter(now - below.end, below.dry - below.end)
      if (state === 'dry' || !overlap(boxes, below.boxes)) continue
      films.set(below.step.id, state)
      wait = Math.max(wait, below.dry - now)
      if (WET.indexOf(state) > WET.indexOf(worst.state))
        worst = { state, by: below.step, wait: Math.ceil(below.dry - now) }
    }
    found.set(step.id, { ...worst, wait: Math.max(worst.wait, Math.ceil(wait)), films })
    const { seconds, tasks } = stepEffort(step, world)
    // Its tool is loaded while the place still dries.
    if (kindOf(step).waits(step)) now += Math.max(0, wait - leadOf(tasks))
    now += seconds
    laid.push({ step, boxes, end: now, dry: now + drySeconds(step, world) })
  }
  return found
}

/**
 * The same world, told the steps of a look: hosts for those that go around others, and what each step finds
 * beneath it.
 * @param off the ids of those that are not painted this time
 */
export function withSteps(world: World, steps: readonly Step[], off?: ReadonlySet<string>): World {
  const own: World = { ...world, ...hostsIn(steps), ...(off?.size && { off }) }
  let found: Map<string, Beneath> | undefined
  let held: Map<string, number[]> | undefined
  // Worked out when it is first asked for: a time or a list of sheets does not need it.
  const beneath = (id: string) => (found ??= beneathAll(steps, own)).get(id)
  // A step that waits until what lies beneath is dry finds nothing wet there.
  const waiting = new Set(steps.flatMap(s => (kindOf(s).waits(s) ? [s.id] : [])))
  return {
    ...own,
    held: (id, pass) => (held ??= heldAll(steps, own)).get(id)?.[pass] ?? 1,
    under: id => beneath(id)?.state ?? 'dry',
    wetUnder: id => (waiting.has(id) ? NONE : (beneath(id)?.films ?? NONE)),
  }
}
