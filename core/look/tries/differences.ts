import same from 'fast-deep-equal'
import type { Box } from '../../geometry'
import { colourWords, labDifference, labOf, linearOf } from '../../paint'
import { placeOf, stepAsWords } from '../composition'
import { isKind, kindOf, paintsOf, type Step, type World } from '../kinds'
import type { Look } from '../look'

/** One thing in which a try differs from another, told from the first to the second. */
export interface Difference {
  /** Id of the step in this look; null when only the other one has it, or when it is about the whole look. */
  readonly here: string | null
  /** Id of the step in the other look; null when only this one has it. */
  readonly there: string | null
  /** A sentence that says what the other look has instead. */
  readonly words: string
}

/** Two looks are compared as they are read against their own worlds. */
export interface InWorld {
  readonly look: Look
  readonly world: World
}

/** Colours that are closer than this look alike, CIEDE2000; two names are told then (common practice). */
const ALIKE = 12

/** "black instead of pink": plain words, or the paints' own names where the plain ones would be the same. */
function colourChange(a: Step, b: Step): string | null {
  const [before, after] = [paintsOf(a), paintsOf(b)]
  const key = (list: typeof before) => list.map(p => `${p.id} ${p.colour}`).join()
  if (key(before) === key(after)) return null
  const gone = before.filter(p => !after.some(q => q.id === p.id && q.colour === p.colour))
  const come = after.filter(p => !before.some(q => q.id === p.id && q.colour === p.colour))
  if (!gone.length && !come.length) return 'its colours in another order'
  const plain = (list: typeof before) => [...new Set(list.map(p => colourWords(p.colour)))].join(' and ')
  const close =
    gone.length === come.length &&
    gone.every((p, i) => labDifference(labOf(linearOf(p.colour)), labOf(linearOf(come[i]!.colour))) < ALIKE)
  const named = close || plain(gone) === plain(come)
  const words = (list: typeof before) => (named ? list.map(p => p.name).join(' and ') : plain(list))
  if (!gone.length) return `${words(come)} besides`
  return come.length ? `${words(come)} instead of ${words(gone)}` : `without ${words(gone)}`
}

const sheetName = (step: Step, { stencil }: World): string | null =>
  isKind('sheet', step) ? (stencil(step.stencil)?.name ?? 'a stencil that is gone') : null

/** Where a step is: by the face, else as its step sheet says it. */
const where = (step: Step, world: World): string =>
  placeOf(step, world) ||
  (kindOf(step)
    .lines(step, world)
    .find(l => l.label === 'where')?.text ??
    '')

/** What a step is called: by its stencil, else by its label or its kind. */
const named = (step: Step, world: World): string =>
  sheetName(step, world)?.toLowerCase() ?? (step.label || kindOf(step).words).toLowerCase()

/** Lines of the step sheet that tell what is told here in other words. */
const TOLD: ReadonlySet<string> = new Set(['sheet', 'where', 'twin'])

/** The lines of the step sheet in which two steps differ besides their colours and their places. */
function lineChanges(a: Step, b: Step, inA: World, inB: World): string[] {
  const names = [...paintsOf(a), ...paintsOf(b)].map(p => p.name).filter(Boolean)
  // A colour is told already: a line that differs by that alone says nothing more.
  const bare = (text: string) => names.reduce((t, name) => t.replaceAll(name, '·'), text)
  const before = new Map(
    kindOf(a)
      .lines(a, inA)
      .map(l => [l.label, l.text]),
  )
  return kindOf(b)
    .lines(b, inB)
    .filter(({ label, text }) => !TOLD.has(label) && bare(before.get(label) ?? '') !== bare(text))
    .map(({ label, text }) => `${label}: ${text}${before.has(label) ? ` (was ${before.get(label)})` : ''}`)
}

/** A move shorter than this is none, mm. */
const MOVED = 0.5

/** How far a step was moved and turned, in words; null when it lies where it lay. */
function moveWords(a: Step, b: Step, inA: World, inB: World): string | null {
  const [from, to] = [kindOf(a).anchor(a), kindOf(b).anchor(b)]
  const by = from && to ? Math.hypot(to[0] - from[0], to[1] - from[1]) : 0
  const turned =
    isKind('sheet', a) && isKind('sheet', b) ? ((((b.tilt - a.tilt + 540) % 360) + 360) % 360) - 180 : 0
  const flipped = isKind('sheet', a) && isKind('sheet', b) && a.side !== b.side
  const [before, after] = by > MOVED ? [placeOf(a, inA), placeOf(b, inB)] : ['', '']
  const moved = before !== after ? `${after} instead of ${before}` : `moved by ${by.toFixed(0)} mm`
  const parts = [
    by > MOVED && moved,
    Math.abs(turned) >= 1 &&
      `turned by ${Math.abs(turned).toFixed(0)}° ${turned > 0 ? 'clockwise' : 'the other way'}`,
    flipped && `flipped to side ${isKind('sheet', b) && b.side}`,
  ]
  return parts.filter(p => p !== false).join(', ') || null
}

function twinChange(a: Step, b: Step): string | null {
  if (same(a.twin, b.twin)) return null
  if (a.twin.rule === 'none') return 'with a twin'
  if (b.twin.rule === 'none') return 'without its twin'
  return 'its twin elsewhere'
}

/** What is another of a step that both looks have; null when it is the same. */
function changeOf(a: Step, b: Step, inA: World, inB: World): string | null {
  const offBefore = inA.off?.has(a.id) ?? false
  const offAfter = inB.off?.has(b.id) ?? false
  if (offBefore !== offAfter) return offAfter ? 'left out' : 'painted, no longer left out'
  if (same(a, b)) return null
  const other = sheetName(a, inA) !== sheetName(b, inB)
  const parts = [
    other && `the ${named(b, inB)} instead of the ${named(a, inA)}`,
    colourChange(a, b),
    moveWords(a, b, inA, inB),
    twinChange(a, b),
    ...lineChanges(a, b, inA, inB),
  ].filter(p => typeof p === 'string')
  // Nothing that differs is passed over: some fields have no words of their own.
  return parts.length ? parts.join('; ') : 'in its details'
}

/** Two steps that share this much of the smaller one's box lie in one place (common practice). */
const ONE_PLACE = 0.3

const sizeOf = (b: Box): number => Math.max(0, b.maxX - b.minX) * Math.max(0, b.maxY - b.minY)

/** Whether two steps lie in one place: a box of the one covers a good part of a box of the other. */
function lieTogether(a: Step, b: Step, inA: World, inB: World): boolean {
  const others = kindOf(b).boxes(b, inB)
  return kindOf(a)
    .boxes(a, inA)
    .some(p =>
      others.some(q => {
        const both: Box = {
          minX: Math.max(p.minX, q.minX),
          minY: Math.max(p.minY, q.minY),
          maxX: Math.min(p.maxX, q.maxX),
          maxY: Math.min(p.maxY, q.maxY),
        }
        return sizeOf(both) > ONE_PLACE * Math.min(sizeOf(p), sizeOf(q))
      }),
    )
}

/** Steps of one look alone, paired with those of the other that are of their kind and lie in their place. */
function replacements(gone: readonly Step[], come: readonly Step[], a: World, b: World): Map<string, Step> {
  const pairs = new Map<string, Step>()
  const left = [...come]
  for (const step of gone) {
    const at = left.findIndex(s => s.kind === step.kind && lieTogether(step, s, a, b))
    if (at >= 0) pairs.set(step.id, left.splice(at, 1)[0]!)
  }
  return pairs
}

const sentence = (words: string): string => `${words[0]!.toUpperCase()}${words.slice(1)}.`

/** What differs of the whole look: the person, and what is painted on. */
function wholeDifferences(a: Look, b: Look, inA: World, inB: World): Difference[] {
  const list: string[] = []
  const tell = (differs: boolean, words: string) => differs && list.push(words)
  tell(!same(a.canvas, b.canvas), `on ${inB.ground.words} instead of ${inA.ground.words}`)
  tell(a.skin.age !== b.skin.age, `for ${b.skin.age} years instead of ${a.skin.age}`)
  tell(a.skin.colour !== b.skin.colour, 'on another skin')
  tell(a.skin.eyes !== b.skin.eyes, `with eyes ${b.skin.eyes}`)
  tell(
    (a.skin.cut ?? 'tied back') !== (b.skin.cut ?? 'tied back'),
    `with hair worn as ${b.skin.cut ?? 'tied back'}`,
  )
  tell(!same([a.focus, a.foci], [b.focus, b.foci]), 'toward another focal point')
  tell(a.budget !== b.budget, 'with another limit of time')
  return list.map(words => ({ here: null, there: null, words: sentence(words) }))
}

/** More changes than these at once are counted, not told one by one. */
const MOST_TOLD = 3

/**
 * What an edit has changed of the steps of a look, as sentences: what was laid and where, what was taken out, and
 * how the others are now. The order of the steps is not told of.
 */
export function changesInWords(before: InWorld, after: InWorld): string[] {
  const was = new Map(before.look.steps.map((s, i) => [s.id, { step: s, number: i + 1 }]))
  const is = new Set(after.look.steps.map(s => s.id))
  const gone = before.look.steps.filter(s => !is.has(s.id))
  const told = after.look.steps.flatMap((step, i): (() => string)[] => {
    const earlier = was.get(step.id)?.step
    if (!earlier) return [() => `Laid: ${stepAsWords(step, i + 1, after.world)}`]
    if (same(earlier, step)) return []
    const number = `Step ${i + 1}, ${step.label || kindOf(step).words}`
    const change = () => changeOf(earlier, step, before.world, after.world) ?? 'in its details'
    return [() => `${number}: ${change()}.`]
  })
  const out = gone.map(s => () => `Taken out: step ${was.get(s.id)!.number}, ${s.label || kindOf(s).words}.`)
  const all = [...out, ...told]
  if (all.length > MOST_TOLD) return [`${all.length} steps changed; ${after.look.steps.length} in the look.`]
  return all.map(words => words())
}

/** The order of the steps that both have, as ids. */
const shared = (a: Look, b: Look): string[] =>
  a.steps.map(s => s.id).filter(id => b.steps.some(s => s.id === id))

/** What another try has instead, step by step from the skin up, in words. */
export function differencesOf(a: InWorld, b: InWorld): Difference[] {
  const inA = { ...a.world, flat: true }
  const inB = { ...b.world, flat: true }
  const there = new Map(b.look.steps.map(s => [s.id, s]))
  const here = new Set(a.look.steps.map(s => s.id))
  const gone = a.look.steps.filter(s => !there.has(s.id))
  const come = b.look.steps.filter(s => !here.has(s.id))
  const instead = replacements(gone, come, inA, inB)
  const replaced = new Set([...instead.values()].map(s => s.id))
  const list = a.look.steps.flatMap((step): Difference[] => {
    const number = `Step ${a.look.steps.indexOf(step) + 1}, ${step.label || kindOf(step).words}`
    const other = there.get(step.id)
    if (other) {
      const change = changeOf(step, other, inA, inB)
      return change ? [{ here: step.id, there: other.id, words: `${number}: ${change}.` }] : []
    }
    const next = instead.get(step.id)
    if (!next) return [{ here: step.id, there: null, words: `${number}: not there.` }]
    const colour = colourChange(step, next)
    const words = `the ${named(next, inB)} ${where(next, inB)} instead of the ${named(step, inA)}${colour ? `; ${colour}` : ''}`
    return [{ here: step.id, there: next.id, words: `${number}: ${words}.` }]
  })
  const added = come
    .filter(s => !replaced.has(s.id))
    .map((s): Difference => {
      const colours = [...new Set(paintsOf(s).map(p => colourWords(p.colour)))].join(' and ')
      const words = `${named(s, inB)}${colours ? ` in ${colours}` : ''} besides, ${where(s, inB)}`
      return { here: null, there: s.id, words: sentence(words.trim()) }
    })
  const [before, after] = [shared(a.look, b.look), shared(b.look, a.look)]
  const order = before.some((id, i) => id !== after[i])
    ? [{ here: null, there: null, words: 'The steps in another order.' }]
    : []
  return [...wholeDifferences(a.look, b.look, inA, inB), ...list, ...added, ...order]
}
