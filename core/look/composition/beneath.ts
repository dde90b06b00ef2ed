import type { Box } from '../../geometry'
import { stateAfter } from '../../order'
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
 * What every step finds beneath it when the hands go on without waiting: films dry while the steps between
 * are painted.
 */
export function beneathAll(steps: readonly Step[], world: World): Map<string, Beneath> {
  const off = (s: Step) => world.off?.has(s.id)
  const boxes = steps.map(s => (off(s) ? [] : kindOf(s).boxes(s, world)))
  const seconds = steps.map(s => (off(s) ? 0 : stepEffort(s, world).seconds))
  const found = new Map<string, Beneath>()
  steps.forEach((step, i) => {
    const films = new Map<string, FilmState>()
    let worst: Omit<Beneath, 'films'> = { state: 'dry', by: null, wait: 0 },
      between = 0
    for (let j = i - 1; j >= 0; j--) {
      const below = steps[j]!
      const drying = drySeconds(below, world)
      const state = stateAfter(between, drying)
      if (state !== 'dry' && overlap(boxes[i]!, boxes[j]!)) {
        films.set(below.id, state)
        if (WET.indexOf(state) > WET.indexOf(worst.state))
          worst = { state, by: below, wait: Math.ceil(drying - between) }
      }
      // A gate before a step between lets everything beneath it dry.
      if (kindOf(below).waits(below) && found.get(below.id)?.by) break
      between += seconds[j]!
    }
    found.set(step.id, { ...worst, films })
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
