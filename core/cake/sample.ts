import type { Box } from '../geometry'
import {
  freshLine,
  freshLook,
  freshPull,
  groundFor,
  type CakeRef,
  type LineStep,
  type Look,
  type PaintRef,
  type ToolLoad,
} from '../look'
import { BRUSHES, type BrushId, type Strip } from '../paint'
import { widthOf } from './cutting'

/** Brushes that take up a whole cake, narrow to wide. */
export const FLAT_BRUSHES = ['flat13', 'flat19', 'flat25'] as const satisfies readonly BrushId[]

/** How a sample is tried on the arm. */
export interface Trial {
  readonly brush: (typeof FLAT_BRUSHES)[number]
  /** How far in from its first edge the brush is set on a cake that is wider than the brush, mm. */
  readonly from: number
  /** Whether stroke and sponge are gone over until their strips are soft. */
  readonly soft: boolean
  readonly skin: string
}

/** The place of the arm that is seen, mm: along it the stroke, then the half moon of the sponge. */
export const SEEN: Box = { minX: -26, minY: -62, maxX: 26, maxY: 62 }

/** How a brush is set down and lifted that is laid flat: which of the stroke's choices. */
const FLAT = 1
/** The narrowest strip that a look can remember, mm. */
const LEAST_STRIP = 0.5
/** The half moon of a sponge is as wide as the cake, between these, mm. */
const MOON = [10, 36] as const

/** The part of a cake that a brush takes up which is set on it so far in from its first edge, mm. */
export function takenUp(strips: readonly Strip[], wide: number, from: number): Strip[] {
  const total = widthOf(strips)
  if (total <= wide) return [...strips]
  const begin = Math.min(Math.max(0, from), total - wide)
  let at = 0
  return strips.flatMap(strip => {
    const [a, b] = [Math.max(begin, at), Math.min(begin + wide, at + strip.width)]
    at += strip.width
    return b - a >= LEAST_STRIP ? [{ ...strip, width: b - a }] : []
  })
}

const nameless = ({ name, ...strip }: Strip): Strip => ({ ...strip, name: name || strip.colour })
const refOfStrip = ({ name, colour, paint }: Strip): PaintRef => ({ id: paint ?? 'strip', name, colour })
const cakeOf = (id: string, strips: readonly Strip[]): CakeRef => ({
  id,
  name: 'sample',
  colour: strips[0]!.colour,
  strips: strips.map(s => ({ ...s })),
})
/** A brush's load of strips: of two or more a cake, else that one paint. */
const brushLoad = (strips: readonly Strip[]): LineStep['load'] =>
  strips.length > 1
    ? { kind: 'cake', cake: cakeOf('sample-brush', strips) }
    : { kind: 'one', paint: refOfStrip(strips[0]!) }
/** The same of a sponge, which takes up the whole cake. */
const spongeLoad = (strips: readonly Strip[]): ToolLoad =>
  strips.length > 1
    ? { kind: 'cake', cake: cakeOf('sample-sponge', strips), strips: null }
    : { kind: 'one', paint: refOfStrip(strips[0]!) }

/**
 * A forearm on which a cake is tried: one stroke of a flat brush and one half moon of a sponge, as any look would
 * paint them.
 * @param strips at least one
 * @throws RangeError when there is none
 */
export function sampleLook(strips: readonly Strip[], { brush, from, soft, skin }: Trial): Look {
  if (!strips.length) throw new RangeError('A sample needs at least one strip.')
  const empty = freshLook('sample', 'sample')
  const look: Look = {
    ...empty,
    canvas: { kind: 'arm', part: 'forearm', side: 'left', measures: null },
    skin: { ...empty.skin, colour: skin },
  }
  const ground = groundFor(look)
  const named = strips.map(nameless)
  const { least, most } = BRUSHES[brush]
  const on = takenUp(named, most, from)
  const press = (100 * (Math.min(most, widthOf(on)) - least)) / (most - least)
  const line = freshLine('sample-stroke', 'band', [0, -34], refOfStrip(named[0]!), ground, [0, 0])
  const way: LineStep['points'] = [
    [4, -58],
    [-3, -40],
    [1, -22],
    [5, -6],
  ]
  const moon = Math.min(MOON[1], Math.max(MOON[0], widthOf(named)))
  const pull = freshPull('sample-moon', 'turned', [0, 34], spongeLoad(named), ground, [0, 0])
  return {
    ...look,
    steps: [
      {
        ...line,
        points: way,
        brush,
        params: { ...line.params, press: Math.max(5, press), ends: 0, start: FLAT, end: FLAT },
        load: brushLoad(on),
        dark: 'right',
        softened: soft,
      },
      // The sponge lies along the arm: its cut edge upward once the arm is seen lying.
      {
        ...pull,
        points: [
          [-12, 32],
          [-12, 32 - moon],
        ],
        sweep: 180,
        soft,
      },
    ],
  }
}
