import { labDifference, type Lab } from '../../../paint'
import type { Step } from '../../kinds'

/** In what an alternative is another than the step that is there. */
export type AlternativeSort = 'stencil' | 'colour' | 'load' | 'tilt' | 'twin' | 'outline'

/** What alternatives are told apart by. */
export interface Features {
  readonly stencil: string
  /** Its first colour. */
  readonly lab: Lab
  /** Degrees clockwise; 0 for what does not turn. */
  readonly tilt: number
  readonly twin: string
  readonly outlined: boolean
  readonly load: string
}

/** What could stand in the place of a step, or on an empty spot. */
export interface Alternative {
  /** Names it: the same alternative of the same step has the same key. */
  readonly key: string
  readonly sort: AlternativeSort
  /** Why it is offered, in one line. */
  readonly why: string
  /** The steps that come in its place, the step itself first. */
  readonly steps: readonly Step[]
  /** Ids of steps that go with the one that is replaced. */
  readonly without: readonly string[]
  readonly features: Features
  /** How well it fits, shows and flows: the product of three shares, 0 to 1. */
  readonly score: number
}

/** Colours this far apart are as different as can be, CIEDE2000; degrees likewise (common practice). */
const FARTHEST = { colour: 45, tilt: 60 } as const
/** How much each feature counts in how different two alternatives are; they sum to 1. */
const WEIGHTS = { stencil: 0.32, colour: 0.32, tilt: 0.12, twin: 0.1, outline: 0.07, load: 0.07 } as const

/**
 * How different two alternatives are, 0 to 1: a weighted sum over stencil, colour (CIEDE2000), tilt, twin,
 * outline and load.
 */
export function apart(a: Features, b: Features): number {
  const turned = Math.abs(((a.tilt - b.tilt + 540) % 360) - 180)
  return (
    WEIGHTS.stencil * Number(a.stencil !== b.stencil) +
    WEIGHTS.colour * Math.min(1, labDifference(a.lab, b.lab) / FARTHEST.colour) +
    WEIGHTS.tilt * Math.min(1, turned / FARTHEST.tilt) +
    WEIGHTS.twin * Number(a.twin !== b.twin) +
    WEIGHTS.outline * Number(a.outlined !== b.outlined) +
    WEIGHTS.load * Number(a.load !== b.load)
  )
}
