import { ringHolds, type Box, type Point, type Ring } from '../../geometry'
import type { ArmCanvas, Canvas } from '../canvas'
import type { Chart } from '../chart'
import type { Face } from '../faces/face'
import type { NamedLandmark } from '../faces/landmarks'
import type { Relief } from '../relief'
import type { ConeSurface, Surface } from '../surface'
import type { Wrap } from '../wrap'
import type { KeepOut, ZoneId } from '../zones'

/**
 * What a look is painted on, worked out: its skin, its features, its zones and how a picture shows it.
 * Lengths mm.
 */
export interface Ground {
  readonly kind: Canvas['kind']
  readonly canvas: Canvas
  readonly words: string
  /** The part of the picture plane that a picture shows. */
  readonly box: Readonly<Box>
  readonly surface: Surface
  /** From skin coordinates to the picture seen from the front. */
  readonly front: Chart
  /** A chart that leaves steep skin its width, for views from the side. */
  readonly wrap: () => Wrap
  /** Named features, for the guides and for words. */
  readonly marks: readonly NamedLandmark[]
  /** The face that is painted or printed; null on an arm. */
  readonly face: Face | null
  /** The relief of a face; null on an arm and on a board. */
  readonly relief: Relief | null
  readonly arm: { readonly surface: ConeSurface; readonly length: number; readonly canvas: ArmCanvas } | null
  readonly zones: readonly ZoneId[]
  /** The outline of a zone in skin coordinates; null when this ground has no such zone. */
  readonly zone: (id: ZoneId) => Ring | null
  readonly keepOuts: readonly KeepOut[]
  /** Whether the eyes are shut: their lids then lie over what is an opening else. */
  readonly eyesClosed: boolean
  /** Where there is skin to paint at all, in skin coordinates. */
  readonly extent: readonly Ring[]
}

/** The zones in which a point lies, the smallest first. */
const SMALLEST_FIRST: readonly ZoneId[] = [
  'left.eye',
  'right.eye',
  'nose',
  'chin',
  'muzzle',
  'left.temple',
  'right.temple',
  'forehead',
  'left.cheek',
  'right.cheek',
  'left.jaw',
  'right.jaw',
  'left.cheekbone',
  'right.cheekbone',
  'face',
  'upper band',
  'middle band',
  'lower band',
  'arm',
]

/** The zone that a point of the skin lies in; null off all of them. */
export function zoneAt(ground: Ground, [x, y]: Point): ZoneId | null {
  return (
    SMALLEST_FIRST.find(id => {
      const ring = ground.zone(id)
      return ring !== null && ringHolds(ring, x, y)
    }) ?? null
  )
}

/** Whether a point of the skin can be painted on: it lies on the canvas and under no hair. */
export function onSkin(ground: Ground, [x, y]: Point): boolean {
  return (
    ground.extent.some(r => ringHolds(r, x, y)) &&
    !ground.keepOuts.some(k => k.kind === 'hair' && ringHolds(k.ring, x, y))
  )
}
