import { transfer } from 'comlink'
import {
  changesInWords,
  checkWork,
  differencesOf,
  flowOf,
  handlingsOf,
  isKind,
  paintUseOf,
  sheetsOf,
  stepsOff,
  timesOf,
  withSteps,
  type Difference,
  type Look,
  type Shows,
  type Step,
  type Ways,
  type World,
} from '#core/look'
import { findingsOf, type Finding } from '#core/checks'
import type { Paint } from '#core/paint'
import {
  balanceOf,
  differencePicture,
  paintSeveral,
  printSteps,
  type Bare,
  type BareSkinCache,
} from '#core/raster'
import { outcomeOf } from './outcomes'
import type { Picture } from './picture'

/** What there is to weigh of a try, against others: all of it estimates. */
export interface TryFacts {
  /** Seconds of hands and waiting, and without the optional steps; null when there are none. */
  readonly seconds: number
  readonly shorter: number | null
  /** Seconds that the hands wait for something to dry. */
  readonly wait: number
  readonly grams: number
  /** What its paint costs; null when no price is known. */
  readonly cost: number | null
  readonly sheets: number
  /** How often a stencil is wiped or skin is, in between. */
  readonly wipes: number
  /** The step that shows least, and how. */
  readonly weakest: { readonly label: string; readonly shows: number; readonly words: string } | null
  /** Bridges that close, and how far paint creeps at most, mm. */
  readonly closed: number
  readonly creep: number
  readonly flow: { readonly toward: number; readonly words: string } | null
  /** How left and right weigh, in words, and the share of the person's right, 0 to 1. */
  readonly balance: { readonly right: number | null; readonly words: string }
  readonly findings: Readonly<Record<Finding['level'], number>>
}

/** By what a try is told: how the painter works, and the date. */
export interface ToTellBy {
  readonly ways: Ways
  readonly today: string
}

/** Kinds of steps that must show by themselves. */
const MUST_SHOW: readonly string[] = ['sheet', 'line', 'dots', 'lips', 'pull']

/** The seconds of a look without its optional steps; null when there are none to leave out. */
function withoutOptional(look: Look, world: World): number | null {
  if (!look.steps.some(s => s.optional && !world.off?.has(s.id))) return null
  return timesOf(look, withSteps(world, look.steps, stepsOff({ ...look, shorter: true }))).finish
}

function weakestOf(look: Look, shows: readonly Shows[]): TryFacts['weakest'] {
  const kindIn = (id: string) => look.steps.find(s => s.id === id)?.kind ?? ''
  const must = shows.filter(s => MUST_SHOW.includes(kindIn(s.stepId)))
  const [least] = (must.length ? must : [...shows]).sort((a, b) => a.median - b.median)
  const label = look.steps.find(s => s.id === least?.stepId)?.label ?? ''
  return least ? { label, shows: least.median, words: least.words } : null
}

/** What a try is in numbers, and how it shows on its skin. */
function factsOfTry(
  look: Look,
  world: World,
  bare: Bare,
  shows: readonly Shows[],
  kit: readonly Paint[],
  told: ToTellBy,
): TryFacts {
  const own = { ...world, ways: told.ways }
  const times = timesOf(look, own)
  const painted = look.steps.filter(s => !world.off?.has(s.id))
  const uses = paintUseOf(look, own)
  const outcomes = painted.flatMap(s => outcomeOf(s, own)?.passes ?? [])
  const flow = flowOf(look, own)
  const balance = balanceOf(bare.head, printSteps(bare.head, look.steps, world, bare.grain), 2)
  const [left, right] = balance.weight
  const findings = findingsOf(look, own, [...kit], [...shows], told.today)
  const count = (level: Finding['level']) => findings.filter(f => f.level === level).length
  return {
    seconds: times.finish,
    shorter: withoutOptional(look, own),
    wait: times.waiting,
    grams: uses.reduce((sum, u) => sum + u.grams, 0),
    cost: uses.some(u => u.cost !== null) ? uses.reduce((sum, u) => sum + (u.cost ?? 0), 0) : null,
    sheets: sheetsOf({ ...look, steps: painted }).length,
    wipes:
      handlingsOf(look.steps, own).filter(h => h.what === 'wipe and flip').length +
      painted.filter(s => isKind('rework', s) && s.act === 'wipe').length,
    weakest: weakestOf(look, shows),
    closed: outcomes.reduce((sum, p) => sum + p.closed, 0),
    creep: Math.max(0, ...outcomes.map(p => p.creep)),
    flow: flow.elements.length ? { toward: flow.toward, words: flow.words } : null,
    // Left of the picture is the person's own right.
    balance: { right: left + right > 0 ? left / (left + right) : null, words: balance.words },
    findings: { problem: count('problem'), warning: count('warning'), tip: count('tip') },
  }
}

/** What the jobs of tries need of the painting worker. */
interface Workshop {
  readonly worldOf: (look: Look) => World
  readonly bares: BareSkinCache
  readonly kit: () => readonly Paint[]
  readonly keyOfSteps: (look: Look, world: World) => (step: Step) => string
}

/** The jobs of tries that the painting worker does. */
export const triesJobs = ({ worldOf, bares, kit, keyOfSteps }: Workshop) => ({
  /**
   * Tries of a look, each told as soon as it is painted: what they share is painted once. Done when the last
   * of them was heard.
   * @param onPainted hears of each, by its number
   */
  async sideBySide(
    looks: readonly Look[],
    pxPerMm: number,
    told: ToTellBy,
    onPainted: (index: number, picture: Picture, facts: TryFacts) => void | Promise<void>,
  ): Promise<void> {
    const heard: (void | Promise<void>)[] = []
    const list = looks.map(look => ({ look, world: worldOf(look) }))
    for (const { look, world } of list) checkWork(look.steps, world)
    const bareOf = (look: Look, { ground }: World) => bares.of(look, ground, pxPerMm)
    for (const { index, bare, rgba, shows } of paintSeveral(list, pxPerMm, bareOf, keyOfSteps)) {
      const { look, world } = list[index]!
      const facts = factsOfTry(look, world, bares.of(look, world.ground, 1), shows, kit(), told)
      const { width, height } = bare.head.grid
      heard.push(onPainted(index, transfer({ rgba, width, height }, [rgba.buffer]), facts))
    }
    await Promise.all(heard)
  },
  /** What one try has that another has not, step by step in words. */
  differences: (a: Look, b: Look): Difference[] =>
    differencesOf({ look: a, world: worldOf(a) }, { look: b, world: worldOf(b) }),
  /** What an edit has changed of a look, as sentences. */
  changes: (before: Look, after: Look): string[] =>
    changesInWords({ look: before, world: worldOf(before) }, { look: after, world: worldOf(after) }),
  /** Where two tries on one skin differ, as a picture. */
  differing(a: Look, b: Look, pxPerMm: number): { picture: Picture; share: number } {
    const list = [a, b].map(look => ({ look, world: worldOf(look) }))
    const bareOf = (look: Look, { ground }: World) => bares.of(look, ground, pxPerMm)
    const [first, second] = [...paintSeveral(list, pxPerMm, bareOf, keyOfSteps)]
    const { rgba, share } = differencePicture(first!.rgba, second!.rgba)
    const { width, height } = first!.bare.head.grid
    return transfer({ picture: { rgba, width, height }, share }, [rgba.buffer])
  },
})
