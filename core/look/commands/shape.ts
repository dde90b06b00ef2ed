import { tenthPoint, type Point } from '../../geometry'
import { onSkin, type Ground } from '../../skin'
import { flipTogether } from '../composition'
import { handlesAround, isMark, movedLoops, isOutline, mostHandles, washRings } from '../kinds'
import type { MarkStep, Step, World } from '../kinds'
import { between, leastMissed, movedHandles, turnedHandles, widestGap } from '../placement'
import { movesOf, onKind, onMark, Refused, type Command } from './command'

const noSkin = ({ words }: Ground) => new Refused(`There is no skin there: keep some of it on the ${words}.`)

/** Gives a step of a draft other handles; what depends on them goes along. */
function put(step: MarkStep, points: [number, number][], ground: Ground): void {
  const by = movedBy(step.points, points)
  if (by && 'holes' in step && step.holes)
    step.holes = movedLoops(step.holes, ([x, y]) => [x + by[0], y + by[1]])
  movesOf(step).reshape(step, points, ground)
}

/** By how much handles were moved when all of them were moved alike; null when they were not. */
function movedBy(before: readonly Point[], after: readonly Point[]): Point | null {
  if (!before.length || before.length !== after.length) return null
  const dx = after[0]![0] - before[0]![0]
  const dy = after[0]![1] - before[0]![1]
  const alike = after.every(
    ([x, y], i) => Math.abs(x - before[i]![0] - dx) < 0.15 && Math.abs(y - before[i]![1] - dy) < 0.15,
  )
  return alike ? [dx, dy] : null
}

/**
 * Changes the handles of several steps, all together. Refused when nothing of them would be left on the skin.
 */
const reshape = (
  ids: ReadonlySet<string>,
  map: (points: readonly Point[]) => [number, number][],
  ground: Ground,
): Command => {
  return draft => {
    const marks = draft.steps.filter(s => ids.has(s.id)).filter(isMark)
    const held = marks.filter(s => s.points.length)
    if (!held.length) return
    const moved = map(held.flatMap((s): Point[] => s.points))
    if (!moved.some(p => onSkin(ground, p))) throw noSkin(ground)
    let k = 0
    for (const step of held) put(step, moved.slice(k, (k += step.points.length)), ground)
  }
}

/** Moves steps by some mm, sheets and brushwork together. */
export const shiftSteps =
  (ids: ReadonlySet<string>, dx: number, dy: number, ground: Ground): Command =>
  draft => {
    reshape(ids, points => movedHandles(points, ([x, y]) => [x + dx, y + dy]), ground)(draft)
    for (const step of draft.steps)
      if (ids.has(step.id) && 'at' in step) step.at = tenthPoint([step.at[0] + dx, step.at[1] + dy])
  }

/**
 * Turns steps by their handles about their common middle, degrees clockwise; one that turns by itself alone
 * does so.
 */
export const turnSteps =
  (ids: ReadonlySet<string>, degrees: number, world: World): Command =>
  draft => {
    const [only, ...others] = draft.steps.filter(s => ids.has(s.id))
    const spin = only && !others.length ? movesOf(only).spin : undefined
    if (only && spin) return spin(only, degrees)
    reshape(ids, points => turnedHandles(points, world, degrees), world.ground)(draft)
  }

/** Turns steps over together; see flipTogether. */
export const flipSteps =
  (ids: ReadonlySet<string>, from: Point, world: World): Command =>
  draft =>
    flipTogether(
      draft.steps.filter(s => ids.has(s.id)),
      world,
      from,
    )

/** Moves one handle of a step. Refused when nothing of it would be left on the skin. */
export const moveHandle = (id: string, n: number, at: Point, ground: Ground): Command =>
  onMark(id, step => {
    const points = step.points.map((p, k): [number, number] => (k === n ? tenthPoint(at) : [p[0], p[1]]))
    if (!onSkin(ground, at) && !points.some((p, k) => k !== n && onSkin(ground, p))) throw noSkin(ground)
    put(step, points, ground)
  })

const isStraight = (step: Step): boolean => 'straight' in step && step.straight

function insert(step: MarkStep, after: number, at: Point | null, ground: Ground): void {
  if (step.points.length >= mostHandles(step)) return
  const there = tenthPoint(at ?? between(step.points, after, isStraight(step)))
  put(step, step.points.toSpliced(after + 1, 0, there), ground)
}

/**
 * Puts a handle between one of a closed outline and the next, where told, else in the middle of the outline
 * there.
 */
export const insertHandle = (id: string, after: number, at: Point | null, ground: Ground): Command =>
  onMark(id, step => insert(step, after, at, ground))

/** Takes a handle out of a closed outline. */
export const dropHandle = (id: string, n: number, ground: Ground): Command =>
  onMark(id, step => {
    if (step.points.length > 3) put(step, step.points.toSpliced(n, 1), ground)
  })

/** How far past the last handle the next one comes, as a share of the way from the one before. */
const ONWARD = 0.7

/** One more handle: past the last one, on a closed outline in the middle of its widest gap. */
export const moreHandles = (id: string, ground: Ground): Command =>
  onMark(id, step => {
    if (isOutline(step)) return insert(step, widestGap(step.points), null, ground)
    const b = step.points.at(-1)
    // What goes around something else has no handles of its own.
    if (!b) return
    const a = step.points.at(-2) ?? [b[0] - 8, b[1]]
    step.points.push(tenthPoint([b[0] + (b[0] - a[0]) * ONWARD, b[1] + (b[1] - a[1]) * ONWARD]))
  })

/** One handle less: the last one, of a closed outline the one that is missed least. */
export const fewerHandles = (id: string, ground: Ground): Command =>
  onMark(id, step => {
    if (!isOutline(step)) return void step.points.pop()
    if (step.points.length > 3) put(step, step.points.toSpliced(leastMissed(step.points), 1), ground)
  })

/** Lets the outline of a base over zones be drawn from there on. */
export const drawOutline = (id: string, ground: Ground): Command =>
  onKind('wash', id, step => {
    const points = handlesAround(washRings(step, ground))
    if (points.length >= 3) Object.assign(step, { zones: [], points, straight: false })
  })
