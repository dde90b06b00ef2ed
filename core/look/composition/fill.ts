import { tenth, type Point } from '../../geometry'
import { layOn, type Ground } from '../../skin'
import { DOTS, usualParams } from '../../stroke'
import type { PaintRef } from '../document'
import type { Step } from '../kinds'
import { bearingOn, movedHandles } from '../placement'
import { freshDots, freshLine } from './freshMarks'
import { freshGlitter } from './freshSparkle'

/** Ways to fill an empty spot. */
export const FILLS = ['dots', 'star', 'glitter'] as const
export type Fill = (typeof FILLS)[number]

/** A step that fills a round spot of the skin, in keeping with the flow. */
export function fillOf(
  fill: Fill,
  id: string,
  at: Point,
  radius: number,
  paint: PaintRef,
  ground: Ground,
  focus: Point,
): Step {
  const laid = layOn(ground.surface, { at, tilt: bearingOn(ground, at, focus), side: 'A' })
  const r = radius * 0.8
  if (fill === 'dots') {
    const first = Math.min(5, Math.max(1, r * 0.5))
    const last = Math.max(0.6, first * 0.4)
    return {
      ...freshDots(id, 'threes', at, null, paint, ground, focus),
      label: 'Dots in a gap',
      points: movedHandles(
        [
          [0, r * 0.62],
          [0, -r * 0.72],
        ],
        laid.point,
      ),
      params: { ...usualParams(DOTS.threes.params), first: tenth(first), last: tenth(last) },
    }
  }
  if (fill === 'star')
    return {
      ...freshLine(id, 'starburst', at, paint, ground, focus),
      label: 'Star in a gap',
      points: movedHandles(
        [
          [0, 0],
          [0, -r],
        ],
        laid.point,
      ),
    }
  return {
    ...freshGlitter(id, 'patch', at, null, ground),
    label: 'Glitter in a gap',
    points: movedHandles(
      [
        [0, 0],
        [0, -r],
      ],
      laid.point,
    ),
    amount: 0.5,
  }
}
