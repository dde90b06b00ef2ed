import type { Point } from '../geometry'
import type { BrushForm, BrushId } from '../paint'
import { valuesOf, type Param, type Params, type Values } from './params'
import type { Spine } from './spine'

/**
 * One kind of stroke: few handles, some numbers, and the pulls of the brush that follow. Everything in the
 * flat, mm, +y down.
 */
export interface StrokeShape {
  readonly words: string
  readonly family: 'line' | 'flat' | 'figure' | 'edge' | 'eye'
  /** What the handles are, least and most of them. */
  readonly handles: readonly [number, number]
  /** Handles of a fresh one about its middle. */
  readonly usual: readonly Point[]
  readonly forms: readonly BrushForm[]
  readonly brush: BrushId
  /** Whether its end points to the focal point, away from it, it leads both ways, or has no direction. */
  readonly flow: 'to' | 'from' | 'both' | 'none'
  readonly params: readonly Param[]
  readonly draw: (handles: readonly Point[], value: Params, brush: BrushId) => Spine[]
}

/** A shape that draws from the numbers it describes. */
type Described<P extends readonly Param[]> = Omit<StrokeShape, 'params' | 'draw'> & {
  readonly params: P
  readonly draw: (handles: readonly Point[], value: Values<P>, brush: BrushId) => Spine[]
}

/** Makes a shape whose numbers are known by the names of its descriptors. */
export const stroke = <const P extends readonly Param[]>(shape: Described<P>): StrokeShape => ({
  ...shape,
  draw: (handles, value, brush) => shape.draw(handles, valuesOf(shape.params, value), brush),
})
