import type { Point } from '../geometry'
import type { FaceTraits } from './faces/traits'
import { ownSide, type Side } from './faces/landmarks'

/** The two sets of adult means from which a face is drawn when nothing is measured. */
export const BUILDS = ['broad', 'fine'] as const
export type Build = (typeof BUILDS)[number]

/** How much of a face is painted. Left and right are those of the picture; `partWords` says whose. */
export const FACE_PARTS = ['whole', 'left half', 'right half', 'left cheek', 'right cheek'] as const
type FacePart = (typeof FACE_PARTS)[number]

/** Five tape measures of a face, mm. */
export interface TapeMeasures {
  /** Temple to temple, straight across. */
  readonly temples: number
  readonly hairlineToBrow: number
  readonly browToChin: number
  /** Inner eye corner to inner eye corner. */
  readonly innerEyes: number
  readonly mouth: number
}

/** A face, an arm or the practice board: what a look is painted on. Lengths mm. */
export interface FaceCanvas {
  readonly kind: 'face'
  readonly build: Build
  readonly part: FacePart
  /** Null while nobody measured: the face then follows from age and build. */
  readonly measures: TapeMeasures | null
  /** How far landmarks were moved to match a person, by their id (`left.browPeak`, `mid.chin`). */
  readonly nudges: Readonly<Record<string, Point>>
  /** What was seen of nose, lips, eyes, brows and jaw; the rest follows from age and build. */
  readonly traits?: Readonly<Partial<FaceTraits>> | undefined
}

export const ARM_PARTS = ['forearm', 'upper arm'] as const
type ArmPart = (typeof ARM_PARTS)[number]

export interface ArmCanvas {
  readonly kind: 'arm'
  readonly part: ArmPart
  readonly side: 'left' | 'right'
  /**
   * Girth at the upper end (elbow, or shoulder) and at the lower end (wrist, or elbow), and the length
   * between; null while nobody measured.
   */
  readonly measures: { readonly upper: number; readonly lower: number; readonly length: number } | null
}

/** A practice board of A4 with a face printed on it at true size. */
export interface BoardCanvas {
  readonly kind: 'board'
  readonly build: Build
}

export type Canvas = FaceCanvas | ArmCanvas | BoardCanvas

/** A whole face of nobody in particular. */
export const PLAIN_FACE: FaceCanvas = {
  kind: 'face',
  build: 'fine',
  part: 'whole',
  measures: null,
  nudges: {},
}

/** A part of a face in words, left being the person's own: parts are named by the side of the picture. */
export const partWords = (part: FaceCanvas['part']): string =>
  part === 'whole' ? 'whole face' : part.replace(/^(left|right)/, side => ownSide(side as Side))

/** A canvas in words: "left half of the face", "right forearm"; left being the person's own. */
export function canvasWords(canvas: Canvas): string {
  if (canvas.kind === 'board') return 'practice board'
  if (canvas.kind === 'arm') return `${canvas.side} ${canvas.part}`
  return canvas.part === 'whole'
    ? 'face'
    : canvas.part.includes('half')
      ? `${partWords(canvas.part)} of the face`
      : partWords(canvas.part)
}
