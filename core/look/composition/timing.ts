import { CLOSE, Network, timed, type Timed } from '../../order'
import type { World } from '../kinds'
import type { Look } from '../look'
import { workOf, type LookWork } from './tasks'

/** A wait of the hands: how long, before which step, and for what. */
interface Waiting {
  readonly before: string
  readonly seconds: number
  /** The step that must dry first. */
  readonly on: string | null
}

/** Steps with the second at which each begins. */
export interface Timeline {
  readonly order: readonly string[]
  readonly starts: readonly number[]
  readonly ends: readonly number[]
  readonly finish: number
  readonly waits: readonly Waiting[]
}

/** A wait shorter than this is not told of, s. */
export const TELLS = 0.5

/** An order of some work in time, with its waits. */
export function timeline({ problem, lags, steps }: LookWork, { order, starts, finish }: Timed): Timeline {
  const at = new Map(order.map((n, i) => [n, starts[i]!]))
  const endOf = (n: number) => at.get(n)! + problem.tasks[n]!.seconds
  const waits = order.flatMap((n, i): Waiting[] => {
    const free = i ? endOf(order[i - 1]!) : 0
    const seconds = starts[i]! - free
    if (seconds < TELLS) return []
    const cause = lags.find(
      l => l.to === n && at.has(l.from) && Math.abs(endOf(l.from) + l.least - starts[i]!) < 1e-3,
    )
    return [{ before: steps[n]!.id, seconds, on: cause ? steps[cause.from]!.id : null }]
  })
  return {
    order: order.map(n => steps[n]!.id),
    starts,
    ends: order.map(endOf),
    finish,
    waits,
  }
}

/**
 * The order as it was entered, each step as early as it can be. What should go onto wet paint and comes too late for
 * it counts as it is: nobody delays the paint for that.
 */
export function enteredOf({ problem, steps }: LookWork): Timed {
  const order = steps.map((_, n) => n)
  const loose = { ...problem, lags: problem.lags.map(l => ({ ...l, most: Infinity })) }
  const chosen = order.map(() => true)
  // Everything comes after what it needs in the order as it was entered, so without windows it always can be.
  return timed(new Network(loose, chosen), order)!
}

/** Whether an order in time keeps every window: what goes onto wet paint comes while that is wet. */
export function keepsWindows({ problem, lags }: LookWork, { order, starts }: Timed): boolean {
  const at = new Map(order.map((n, i) => [n, starts[i]!]))
  return lags.every(
    ({ from, to, most }) =>
      !at.has(from) ||
      !at.has(to) ||
      at.get(to)! <= at.get(from)! + problem.tasks[from]!.seconds + most + CLOSE,
  )
}

/** How long a look takes in the order as it stands: the one number that every screen tells. All in seconds. */
export interface LookTimes {
  /** Hands and waiting together. */
  readonly finish: number
  readonly hands: number
  readonly waiting: number
  readonly waits: readonly Waiting[]
}

/**
 * How long what of a look is painted takes, drying included, in the order as it stands: an estimate from common
 * practice, the painter's own paces and the room.
 */
export function timesOf(look: Pick<Look, 'steps'>, world: World): LookTimes {
  const work = workOf(look, world)
  const { finish, waits } = timeline(work, enteredOf(work))
  const hands = work.problem.tasks.reduce((sum, t) => sum + t.seconds, 0)
  return { finish, hands, waiting: Math.max(0, finish - hands), waits }
}

/** When each step that is painted begins and ends in the order as it stands, by its id; s from the beginning. */
export function enteredTimes(
  look: Pick<Look, 'steps'>,
  world: World,
): ReadonlyMap<string, { readonly start: number; readonly end: number }> {
  const work = workOf(look, world)
  const { starts } = enteredOf(work)
  return new Map(
    work.steps.map((s, n) => [s.id, { start: starts[n]!, end: starts[n]! + work.problem.tasks[n]!.seconds }]),
  )
}
