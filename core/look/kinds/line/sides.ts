import { mapSpine, shapeOf, type ShapeId, type Spine } from '../../../stroke'
import { liesOf, onSkinBy, type Lie } from '../../placement'
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
  onSkinBy(lie, world, h => shapeOf(shape).draw(h, step.params, step.brush), mapSpine)

/** The pulls of a step on the skin, its twin's after them. */
export function sidesOf(step: LineStep, world: World): Side[] {
  const { shape, of, params, brush, id, points, twin } = step
  if (isAround(shape)) {
    const spines = of ? aroundSpines(shape, of, params, brush, id, world) : []
    return [{ spines, mirror: false, twin: false }]
  }
  const make = () =>
    liesOf(step, world.ground).map(lie => ({
      spines: drawn(step, shape, lie, world),
      mirror: lie.mirror,
      twin: lie.twin,
    }))
  // A step that is being changed in place must not be taken for what it was.
  return world.memo
    ? world.memo.recall(step, [world.ground, points, params, twin, shape, brush], make)
    : make()
}
