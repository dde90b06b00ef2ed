import type { StrokeShape } from '../shape'
import { EDGES } from './edge'
import { EYES } from './eye'
import { FIGURES } from './figure'
import { FLATS } from './flat'
import { LINES } from './line'

/** Every stroke whose shape follows from its handles, in the order in which the tray shows them. */
export const SHAPES = { ...LINES, ...FLATS, ...FIGURES, ...EDGES, ...EYES }

export type ShapeId = keyof typeof SHAPES
export const SHAPE_IDS = Object.keys(SHAPES) as ShapeId[]
export const shapeOf = (id: ShapeId): StrokeShape => SHAPES[id]
