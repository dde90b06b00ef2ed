import {
  orderRules,
  planOf,
  Shortening,
  timeRows,
  type Look,
  type OrderConflict,
  type OrderPlan,
  type OrderRule,
  type Shortened,
  type TimeRows,
  type World,
} from '#core/look'

/** How long an order is looked for, ms; the best that was found counts then. */
const PLAN_MS = 2000
/** The same for each of the many orders of shorter versions, ms. */
const SHORT_MS = 500
const clock = () => performance.now()

/** The order of a look, with both orders in time and the rules that any order keeps. */
export interface Planned extends OrderPlan {
  readonly rows: { readonly entered: TimeRows; readonly planned: TimeRows }
  readonly rules: readonly OrderRule[]
}

/** The shortest order of a look: the steps that are locked keep their place. */
export function planned(look: Look, world: World): Planned | OrderConflict {
  const stays = new Set(look.steps.flatMap(s => (s.locked ? [s.id] : [])))
  const plan = planOf(look, world, { limitMs: PLAN_MS, clock }, stays)
  if (!('planned' in plan)) return plan
  const rows = {
    entered: timeRows(look, world, plan.entered),
    planned: timeRows(look, world, plan.planned),
  }
  return { ...plan, rows, rules: orderRules(look, world) }
}

/** How a look can be shortened: worth against time, what is left for some budgets, and the least that there is. */
export interface ShorterLooks {
  readonly curve: Shortened[]
  readonly within: (Shortened | null)[]
  /** What must be done, as it was entered and in its shortest order; null when it cannot be done. */
  readonly least: OrderPlan | null
}

/**
 * What a look is for less time.
 * @param budgets seconds for each of which it is told what goes
 * @param look with the steps that are still to be painted
 * @param points as many points of worth against time are told; none for 0
 */
export function shorter(
  look: Pick<Look, 'steps'>,
  world: World,
  budgets: readonly number[],
  points: number,
): ShorterLooks {
  const found = new Shortening(look, world, { limitMs: SHORT_MS, clock })
  return {
    curve: points > 0 ? found.curve(points) : [],
    within: budgets.map(b => found.within(b)),
    least: found.least(),
  }
}
