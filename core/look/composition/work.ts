import { isKind, kindOf, printedPoints, type Step, type World } from '../kinds'

/** Points that are printed in one picture at most: a rich look of a fair has a few hundred thousand. */
const MOST_POINTS = 4_000_000
/** As many lines may go around one another: each further one has more points than the one before. */
const MOST_AROUND = 4

/** How many steps a step goes around, one around the other. */
function depthOf(step: Step, steps: readonly Step[], seen = 0): number {
  if (seen > MOST_AROUND) return seen
  const ids = kindOf(step).follows(step)
  return Math.max(seen, ...steps.filter(s => ids.includes(s.id)).map(s => depthOf(s, steps, seen + 1)))
}

/**
 * Refuses steps that are too much to paint: nobody would wait for the picture, nor could anybody paint it.
 * @throws RangeError with a sentence
 */
export function checkWork(steps: readonly Step[], world: World): void {
  const points = steps.reduce((n, s) => n + (isKind('sheet', s) ? printedPoints(s, world) : 0), 0)
  if (points > MOST_POINTS)
    throw new RangeError(
      `The look is too much to paint: its stencils print ${(points / 1e6).toFixed(1)} million points, and up to ${MOST_POINTS / 1e6} million are painted. Leave some colour layers or stencils out; nothing of it is lost.`,
    )
  const deep = steps.find(s => depthOf(s, steps) > MOST_AROUND)
  if (deep)
    throw new RangeError(
      `"${deep.label}" goes around a step that goes around another, ${MOST_AROUND + 1} times over; up to ${MOST_AROUND} are painted. Let it go around one of the first.`,
    )
}
