import { copied, type CakeRef, type PaintRef } from '../document'
import { kindOf, type Step } from '../kinds'
import type { Command } from './command'

/**
 * Puts another paint in the place of one throughout the look; a split cake only takes the place of a cake, and a
 * single colour that of a single colour.
 */
export const swapPaint =
  (from: string, to: PaintRef | CakeRef): Command =>
  draft => {
    for (const step of draft.steps)
      for (const { path, ref } of kindOf<Step>(step).paintPlaces(step))
        if (ref.id === from && 'strips' in ref === 'strips' in to) put(step, path, to)
  }

/**
 * A step with other paints in the place of its own; split cakes stay.
 * @param instead the paint that takes the place of one; null where it stays
 */
export function paintedWith(step: Step, instead: (ref: PaintRef) => PaintRef | null): Step {
  const copy = copied(step)
  for (const { path, ref } of kindOf<Step>(copy).paintPlaces(copy)) {
    const to = 'strips' in ref ? null : instead(ref)
    if (to) put(copy, path, to)
  }
  return copy
}

/** Sets the value at a path of a step, in place. */
function put(step: Step, path: readonly (string | number)[], to: PaintRef | CakeRef): void {
  const holder = path.slice(0, -1).reduce<object>((at, key) => Reflect.get(at, key) as object, step)
  const key = path.at(-1)!
  Reflect.set(holder, key, copied(to))
  // Strips that were chosen are of the cake of before.
  if ('strips' in to && Reflect.get(holder, 'strips') !== undefined) Reflect.set(holder, 'strips', null)
}
