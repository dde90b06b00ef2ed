import type { Length } from './record'

/** Something that was done in the chair. */
export type Deed =
  'begin' | 'done' | 'skip' | 'later' | 'back' | 'again' | 'pause' | 'resume' | 'shorten' | 'look' | 'end'

/** A deed, with the seconds that passed since the one before. */
export interface Event {
  readonly deed: Deed
  readonly passed: number
  /** What tells it from every other deed, and the time of day at which it was done, ms; older ones have neither. */
  readonly id?: string
  readonly at?: number
  /** The step that was in hand. */
  readonly of?: string
  /** What is left, in order: of those deeds that change it. */
  readonly order?: readonly string[]
  readonly length?: Length
}

/** One step after another that must be dry, or that is only wet so long. */
export interface Gate {
  readonly from: string
  readonly to: string
  /** The least and the most seconds between them. */
  readonly least: number
  readonly most: number
  /** Seconds of the second before it touches the skin: its tool is loaded while the first still dries. */
  readonly lead: number
  /** Whether the second belongs to the first, and cannot come before it. */
  readonly bound: boolean
}

/** What became of a step so far. */
export interface StepState {
  /** Seconds of the hands at it, since it was last begun. */
  readonly seconds: number
  readonly waited: number
  readonly lost: number
  readonly again: number
  readonly swapped: boolean
  readonly ending: 'open' | 'done' | 'skipped' | 'left out'
  /** The second of the sitting at which it was done; null while it is not. */
  readonly doneAt: number | null
}

/** Where a sitting stands: worked out from its deeds alone, so that nothing is counted twice. */
export interface Progress {
  /** The steps that are not behind, in order: the first is in hand. */
  readonly left: readonly string[]
  readonly steps: ReadonlyMap<string, StepState>
  /** The steps that are behind, the last one last. */
  readonly behind: readonly string[]
  /** Seconds since it began, pauses in them: paint dries through a pause. */
  readonly now: number
  readonly paused: number
  readonly pausing: boolean
  readonly length: Length
  readonly begun: boolean
  readonly ended: boolean
}

const UNTOUCHED: StepState = {
  seconds: 0,
  waited: 0,
  lost: 0,
  again: 0,
  swapped: false,
  ending: 'open',
  doneAt: null,
}

const NOT_BEGUN: Progress = {
  left: [],
  steps: new Map(),
  behind: [],
  now: 0,
  paused: 0,
  pausing: false,
  length: 'whole',
  begun: false,
  ended: false,
}

/** What became of a step; untouched when nothing did. */
export const stateIn = (progress: Progress, id: string): StepState => progress.steps.get(id) ?? UNTOUCHED

/** Seconds until a step may begin, and what must dry first; zero when nothing must. */
export function gateBefore(
  progress: Progress,
  id: string,
  gates: readonly Gate[],
): { readonly seconds: number; readonly on: string | null } {
  let latest = { seconds: 0, on: null as string | null }
  for (const { from, to, least } of gates) {
    const done = to === id ? stateIn(progress, from).doneAt : null
    const seconds = done === null ? 0 : done + least - progress.now
    if (seconds > latest.seconds) latest = { seconds, on: from }
  }
  return latest
}

/** The seconds for which something is still wet enough for a step; null when it needs nothing wet. */
export function windowOf(
  progress: Progress,
  id: string,
  gates: readonly Gate[],
): { readonly seconds: number; readonly on: string } | null {
  const open = gates.flatMap(({ from, to, most }) => {
    const done = to === id && most < Infinity ? stateIn(progress, from).doneAt : null
    return done === null ? [] : [{ seconds: done + most - progress.now, on: from }]
  })
  return open.length ? open.reduce((a, b) => (b.seconds < a.seconds ? b : a)) : null
}

/**
 * The order of what is left with the step in hand behind the next one that can go before it; null when none can.
 */
export function putLater(progress: Progress, gates: readonly Gate[]): string[] | null {
  const [now, ...rest] = progress.left
  const needs = (id: string, before: readonly string[]) =>
    gates.some(g => g.bound && g.to === id && before.includes(g.from))
  const at = rest.findIndex((id, i) => !needs(id, [now!, ...rest.slice(0, i)]))
  if (now === undefined || at < 0) return null
  const next = rest[at]!
  const others = rest.filter(id => id !== next)
  // What belongs to the step in hand goes back with it.
  return [next, now, ...others]
}

/** Adds the seconds that passed to what was in hand; while it waits for something to dry, they are waiting. */
function passing(progress: Progress, seconds: number, gates: readonly Gate[]): Progress {
  if (!progress.begun || progress.ended) return progress
  const now = progress.now + seconds
  if (progress.pausing) return { ...progress, now, paused: progress.paused + seconds }
  const id = progress.left[0]
  if (id === undefined) return { ...progress, now }
  const waited = Math.min(seconds, gateBefore(progress, id, gates).seconds)
  const before = stateIn(progress, id)
  const after = { ...before, seconds: before.seconds + seconds - waited, waited: before.waited + waited }
  return { ...progress, now, steps: new Map(progress.steps).set(id, after) }
}

function put(progress: Progress, id: string, change: Partial<StepState>): ReadonlyMap<string, StepState> {
  return new Map(progress.steps).set(id, { ...stateIn(progress, id), ...change })
}

/** The step in hand is behind, done or skipped. */
function leave(progress: Progress, ending: 'done' | 'skipped', of?: string): Progress {
  const id = of ?? progress.left[0]
  // Pressed in two tabs, it is done once.
  if (id === undefined || !progress.left.includes(id)) return progress
  const left = progress.left.filter(other => other !== id)
  const steps = put(progress, id, { ending, doneAt: ending === 'done' ? progress.now : null })
  return { ...progress, left, behind: [...progress.behind, id], steps }
}

/** What was left behind last is in hand again; its time goes on. */
function back(progress: Progress): Progress {
  const id = progress.behind.at(-1)
  if (id === undefined) return progress
  const steps = put(progress, id, { ending: 'open', doneAt: null })
  return { ...progress, left: [id, ...progress.left], behind: progress.behind.slice(0, -1), steps }
}

/** What is in hand is begun again: somebody moved. */
function again(progress: Progress): Progress {
  const id = progress.left[0]
  if (id === undefined) return progress
  const { seconds, lost, again: times } = stateIn(progress, id)
  return { ...progress, steps: put(progress, id, { seconds: 0, lost: lost + seconds, again: times + 1 }) }
}

/** Only some of what is left stays. */
function shorten(progress: Progress, { order = [], length }: Event): Progress {
  const steps = new Map(progress.steps)
  for (const id of progress.left)
    if (!order.includes(id)) steps.set(id, { ...stateIn(progress, id), ending: 'left out' })
  return { ...progress, left: order, steps, length: length ?? progress.length }
}

function done(progress: Progress, event: Event): Progress {
  switch (event.deed) {
    case 'begin':
      return { ...NOT_BEGUN, begun: true, left: event.order ?? [], length: event.length ?? 'whole' }
    case 'done':
      return leave(progress, 'done', event.of)
    case 'skip':
      return leave(progress, 'skipped', event.of)
    case 'later': {
      const id = progress.left[0]
      return id === undefined || !event.order
        ? progress
        : { ...progress, left: event.order, steps: put(progress, id, { swapped: true }) }
    }
    case 'back':
      return { ...back(progress), ended: false }
    case 'again':
      return again(progress)
    case 'shorten':
      return shorten(progress, event)
    case 'pause':
    case 'resume':
      return { ...progress, pausing: event.deed === 'pause' }
    case 'end':
      return { ...progress, ended: true, pausing: false }
    case 'look':
      return progress
  }
}

/**
 * The deeds of a sitting from two accounts of it, such as those of two tabs: each deed once, none lost. Where the
 * accounts part, deeds stand by the time of day, and the seconds between them are counted once.
 */
export function mergedEvents(one: readonly Event[], other: readonly Event[]): readonly Event[] {
  const same = (a: Event, b: Event | undefined) => b !== undefined && a.id === b.id && a.deed === b.deed
  const shorter = one.length < other.length ? one : other
  const longer = shorter === one ? other : one
  const parts = shorter.findIndex((e, i) => !same(e, longer[i]))
  if (parts < 0) return longer
  const common = one.slice(0, parts)
  const known = new Set(common.map(e => e.id))
  const rest = [...one.slice(parts), ...other.slice(parts)].filter(e => {
    if (e.id === undefined || known.has(e.id)) return e.id === undefined
    known.add(e.id)
    return true
  })
  rest.sort((a, b) => (a.at ?? 0) - (b.at ?? 0))
  let last = common.at(-1)?.at
  const timed = rest.map((e): Event => {
    const passed = last === undefined || e.at === undefined ? e.passed : Math.max(0, (e.at - last) / 1000)
    last = e.at ?? last
    return { ...e, passed: Math.min(e.passed, passed) }
  })
  return [...common, ...timed]
}

/** Where a sitting stands after its deeds. */
export const progressAfter = (events: readonly Event[], gates: readonly Gate[]): Progress =>
  events.reduce((progress, event) => done(passing(progress, event.passed, gates), event), NOT_BEGUN)

/** Where a sitting stands some seconds after its last deed. */
export const progressNow = (progress: Progress, passed: number, gates: readonly Gate[]): Progress =>
  passing(progress, passed, gates)

/** What two clocks of a device say: the time of day and one that only goes forward, ms; which page asked. */
export interface Clocks {
  readonly wall: number
  readonly steady: number
  readonly page: string
}

/** Clocks that differ by less are at one, s. */
const AT_ONE = 3
/** A device may sleep so long, with its steady clock standing, s. */
const SLEEPS = 1200

/**
 * Seconds between two looks at the clocks. On one page the steady clock counts, but for what a device may have
 * slept; over a reload only the time of day can. A clock that was set is told of.
 */
export function passedBetween(before: Clocks, after: Clocks): { seconds: number; problem: string | null } {
  const wall = (after.wall - before.wall) / 1000
  const steady = before.page === after.page ? (after.steady - before.steady) / 1000 : null
  const told = (what: string) =>
    `The clock of this device was set ${what} meanwhile. The minutes are counted without it.`
  if (steady === null) {
    if (wall < 0) return { seconds: 0, problem: told('back') }
    return wall > SLEEPS
      ? {
          seconds: SLEEPS,
          problem: `The page was closed for ${Math.round(wall / 60)} minutes; 20 of them are counted.`,
        }
      : { seconds: wall, problem: null }
  }
  if (Math.abs(wall - steady) <= AT_ONE) return { seconds: steady, problem: null }
  if (wall > steady && wall - steady <= SLEEPS) return { seconds: wall, problem: null }
  return { seconds: steady, problem: told(wall < steady ? 'back' : 'forward') }
}

/** Seconds until everything is done in an order, waiting for what must be dry before each step. */
export function finishOf(
  order: readonly string[],
  secondsOf: (id: string) => number,
  gates: readonly Gate[],
): number {
  const done = new Map<string, number>()
  let now = 0
  for (const id of order) {
    for (const g of gates) {
      const before = g.to === id ? done.get(g.from) : undefined
      if (before !== undefined) now = Math.max(now, before + Math.max(0, g.least - g.lead))
    }
    now += secondsOf(id)
    done.set(id, now)
  }
  return now
}
