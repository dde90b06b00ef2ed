import { mapSpine, shapeOf, sharesOf, type ShapeId, type Spine } from '../../../stroke'
import { liesOf, onSkinBy, type Lie } from '../../placement'
import { madeFrom, stepsOf } from '../contour'
import type { World } from '../world'
import { aroundSpines } from './aroundSpines'
import { isAround, type LineStep } from './schema'

/** The pulls of one side of a step, on the skin. */
export interface Side {
  readonly spines: readonly Spine[]
  readonly mirror: boolean
  readonly twin: boolean
}

const drawn = (step: LineStep, shape: ShapeId, lie: Lie, world: World): Spine[] =>
  onSkinBy(lie, world, h => shapeOf(shape).draw(h, step.params, step.brush), mapSpine).map(s =>
    pressedAlong(s, step),
  )

/** A pull with the pressure that was drawn along it: from start to middle to end, straight between them. */
function pressedAlong(s: Spine, { pressed }: Pick<LineStep, 'pressed'>): Spine {
  if (!pressed || s.closed) return s
  const shares = sharesOf(s.points)
  const at = (t: number) =>
    t < 0.5
      ? pressed[0] + (pressed[1] - pressed[0]) * 2 * t
      : pressed[1] + (pressed[2] - pressed[1]) * (2 * t - 1)
  return { ...s, widths: s.widths.map((w, i) => Math.max(0.1, w * at(shares[i]!))) }
}

/** The pulls of a step on the skin, its twin's after them. */
export function sidesOf(step: LineStep, world: World): Side[] {
  const { shape, of, params, brush, id, points, twin, pressed } = step
  if (isAround(shape)) {
    const around = () => [
      { spines: of ? aroundSpines(shape, of, params, brush, id, world) : [], mirror: false, twin: false },
    ]
    return world.memo
      ? world.memo.recall(step, [of, params, shape, brush, ...madeFrom(stepsOf(of), id, world)], around)
      : around()
  }
  const make = () =>
    liesOf(step, world.ground).map(lie => ({
      spines: drawn(step, shape, lie, world),
      mirror: lie.mirror,
      twin: lie.twin,
    }))
  // A step that is being changed in place must not be taken for what it was.
  return world.memo
    ? world.memo.recall(step, [world.ground, points, params, twin, shape, brush, pressed], make)
    : make()
}
