import { coverOf, beneathAll, timesOf, type Look, type Shows, type World } from '../look'
import type { Paint } from '../paint'
import { bleed } from './bleed'
import { contrast, lineContrast } from './contrast'
import type { Check, Finding, Fix, Level } from './finding'
import { glitterHost, sparkle } from './glitter'
import { lacking, safe, toMake, useBy } from './label'
import { mud } from './mud'
import { keepOut, overEyes } from './over'
import { regionsOf } from './regions'
import { seats, wipe } from './seats'
import { brows, cracks, oilySkin } from './skin'
import { answers, lids, lipsShared, shutEyes, sittingFindings } from './sitting'
import { halo, neighbour, nothingDabbed, reload, runsOutOfPaint } from './tools'
import { wetGround } from './wetGround'
import { wipedOut } from './wipedOut'

/** Every check, in the order in which its findings are told. */
const CHECKS: Readonly<Record<string, Check>> = {
  answers,
  wetGround,
  wipedOut,
  keepOut,
  overEyes,
  lids,
  shutEyes,
  sparkle,
  safe,
  bleed,
  contrast,
  lineContrast,
  neighbour,
  mud,
  useBy,
  toMake,
  lacking,
  seats,
  wipe,
  reload,
  nothingDabbed,
  runsOutOfPaint,
  halo,
  glitterHost,
  lipsShared,
  brows,
  cracks,
}
/** Checks of a person and of the skin's shape: on a practice board there is neither. */
const OF_SKIN: ReadonlySet<string> = new Set([
  'answers',
  'keepOut',
  'overEyes',
  'lids',
  'shutEyes',
  'sparkle',
  'safe',
  'seats',
  'lipsShared',
  'brows',
  'cracks',
])

const RANK: Record<Level, number> = { problem: 0, warning: 1, tip: 2 }
export const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  problem: 'Problem',
  warning: 'Warning',
  tip: 'Tip',
}

/** Two fixes of the same kind as one press; null when they are not. */
function both(a: Fix | null, b: Fix | null): Fix | null {
  if (!a || !b || a.words !== b.words || a.goes || b.goes || a.adds || b.adds) return a
  const same = (p: Fix['sets'][number], q: Fix['sets'][number]) =>
    JSON.stringify(p.path) === JSON.stringify(q.path)
  return { ...a, sets: [...a.sets, ...b.sets.filter(s => !a.sets.some(o => same(o, s)))] }
}

/** Minutes and seconds, as a clock shows them. */
const minutes = (seconds: number): string =>
  `${Math.floor(Math.round(seconds) / 60)}:${String(Math.round(seconds) % 60).padStart(2, '0')}`

/** A look that takes longer than the limit that was set for it, drying included. */
function overLimit(look: Look, world: World): Finding[] {
  if (look.budget === null) return []
  const { finish, waiting } = timesOf(look, world)
  if (Math.round(finish) <= look.budget) return []
  return [
    {
      check: 'limit',
      stepId: null,
      level: 'warning',
      title: `Takes ${minutes(finish - look.budget)} longer than its limit`,
      why: `In this order it takes ${minutes(finish)}, ${minutes(waiting)} of it waiting for paint to dry (estimate); the limit is ${minutes(look.budget)}. "Order" shows the shortest order, and which steps can go.`,
      fix: null,
    },
  ]
}

/** Each finding once: what is said of two passes alike is one finding, and one press mends both. */
function once(list: readonly Finding[]): Finding[] {
  const kept = new Map<string, Finding>()
  for (const f of list) {
    const key = JSON.stringify([f.check, f.title])
    const first = kept.get(key)
    kept.set(
      key,
      first
        ? {
            ...first,
            level: RANK[f.level] < RANK[first.level] ? f.level : first.level,
            fix: both(first.fix, f.fix),
          }
        : f,
    )
  }
  return [...kept.values()]
}

/**
 * What there is to say of a look before it is painted: first of the person, then step by step, the gravest of a
 * step first. Whoever asks may stop between two steps.
 * @param shows how the steps show, as far as they have been painted
 * @param today ISO 8601
 */
export function* findingsIn(
  look: Look,
  world: World,
  kit: readonly Paint[],
  shows: readonly Shows[],
  today: string,
): Generator<Finding[]> {
  const unders = beneathAll(look.steps, world)
  const paper = world.ground.kind === 'board'
  const regions = regionsOf(world.ground)
  const checks = Object.entries(CHECKS).filter(([name]) => !(paper && OF_SKIN.has(name)))
  const whole = paper
    ? []
    : [...sittingFindings(look, world), ...oilySkin({ look })].map((f): Finding => ({
        check: 'sitting',
        stepId: null,
        ...f,
      }))
  yield [...whole, ...overLimit(look, world)]
  for (const [index, step] of look.steps.entries()) {
    if (world.off?.has(step.id)) continue
    const at = {
      look,
      step,
      index,
      world,
      kit,
      today,
      regions,
      cover: coverOf(step, world),
      under: unders.get(step.id)!,
      shows: shows.find(s => s.stepId === step.id),
    }
    const found = checks.flatMap(([check, run]) =>
      run(at).map((f): Finding => ({ check, stepId: step.id, ...f })),
    )
    yield once(found).sort((a, b) => RANK[a.level] - RANK[b.level])
  }
}

/** All of it at once; see findingsIn. */
export const findingsOf = (...of: Parameters<typeof findingsIn>): Finding[] => [...findingsIn(...of)].flat()
