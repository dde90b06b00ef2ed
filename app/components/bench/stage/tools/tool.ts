import type { Ref, ShallowRef } from 'vue'
import type { Point } from '#core/geometry'
import type { MarkStep, SheetStep, SnapLine } from '#core/look'
import type { HeldAxis } from '~/stores/gradient'
import type { View } from '../view'

/**
 * The hand at one moment: where it is on the stage (px) and on the skin (mm; null beside it), and the keys
 * that are held.
 */
export interface Touch {
  readonly point: Point
  readonly skin: Point | null
  readonly alt: boolean
  readonly shift: boolean
  readonly ctrl: boolean
}

/** What the hand has hold of, until it lets go. */
export interface Grip {
  /** Follows the hand, once it has really moved. */
  readonly drag?: (to: Touch) => void
  /** The hand lets go; `tapped` when it had not moved. */
  readonly release?: (to: Touch, tapped: boolean) => void
  /** A tap with Alt is its own; else it picks the spot beneath. */
  readonly ownsAlt?: true
}

/** One thing that the hand can do on the stage. */
export interface Tool {
  /** A press that rests in one place picks the spot there, unless the tool takes presses for itself. */
  readonly ownsPress?: true
  /**
   * Takes hold of what was pressed; 'done' when the press was all of it, null when it is not for this tool.
   */
  readonly press: (touch: Touch) => Grip | 'done' | null
}

/** What is shown while the hand moves; the print follows when it lets go. */
export interface Ghosts {
  readonly preview: ShallowRef<SheetStep | null>
  readonly shaped: ShallowRef<readonly MarkStep[] | null>
  readonly focusAt: ShallowRef<{ readonly n: number; readonly at: Point } | null>
  readonly loop: ShallowRef<readonly Point[] | null>
  readonly axis: ShallowRef<HeldAxis | null>
  readonly mark: ShallowRef<{ id: string; at: Point } | null>
  /** The point about which a twin is turned by half a turn. */
  readonly about: ShallowRef<Point | null>
  /** The line to which what moves was drawn. */
  readonly snap: ShallowRef<SnapLine | null>
}

/** What the tools work on: the stage as it stands, and what is shown on it. */
export interface StageHand {
  readonly view: Ref<View>
  readonly whole: Readonly<Ref<View>>
  /** Whether landmarks are being moved to match a person. */
  readonly fitting: Readonly<Ref<boolean>>
  /** Whether the next tap picks a spot, whatever is painted there. */
  readonly picking: Ref<boolean>
  readonly ghosts: Ghosts
  /** Picks the spot at a point of the stage and lets go of the selection; beside the skin it only lets go. */
  readonly pickAt: (touch: Pick<Touch, 'skin'>) => void
}

/** Nearer than this two points of the stage are one to a fingertip, px. */
const NEAR = 13
export const near = (a: Point, b: Point): boolean => Math.hypot(a[0] - b[0], a[1] - b[1]) < NEAR
