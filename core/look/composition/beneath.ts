import { stateAfter } from '../../order'
import type { FilmState } from '../../paint'
import { drySeconds, hostsIn, kindOf, laysNothing, type Step, type World } from '../kinds'
import { heldAll } from './carried'
import { workOf } from './tasks'
import { enteredOf } from './timing'

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
 * What every step finds beneath it at the moment at which it touches the skin, in the order as it stands: the very
 * times of `timesOf`. For a step that waits until what lies beneath it is dry, it is the moment at which it would
 * touch the skin if the hands did not wait, and its wait is that of the hands.
 */
export function beneathAll(steps: readonly Step[], world: World): Map<string, Beneath> {
  const found = new Map<string, Beneath>(
    steps.map(s => [s.id, { state: 'dry', by: null, wait: 0, films: NONE }]),
  )
  const work = workOf({ steps: [...steps] }, world)
  const { starts } = enteredOf(work)
  const ends = work.problem.tasks.map((t, n) => starts[n]! + t.seconds)
  work.steps.forEach((step, n) => {
    const begins = kindOf(step).waits(step) ? (ends[n - 1] ?? 0) : starts[n]!
    const at = begins + work.leads[n]!
    const films = new Map<string, FilmState>()
    let worst: Omit<Beneath, 'films'> = { state: 'dry', by: null, wait: 0 }
    let wait = 0
    // The last one first: of two that are as wet, it is the one that is told.
    for (let k = n - 1; k >= 0; k--) {
      const below = work.steps[k]!
      const drying = laysNothing(below) ? 0 : drySeconds(below, world)
      const state = stateAfter(at - ends[k]!, drying)
      if (state === 'dry' || !work.touches(n, k)) continue
      films.set(below.id, state)
      const left = ends[k]! + drying - at
      wait = Math.max(wait, left)
      if (WET.indexOf(state) > WET.indexOf(worst.state)) worst = { state, by: below, wait: left }
    }
    found.set(step.id, { ...worst, wait: Math.ceil(wait), films })
  })
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
