import { stepPrints, type Step, type World } from '../look'
import type { Mask } from './coverage'
import type { HeadPicture } from './head'
import { dragMasks, type StepPrints } from './layStep'
import { boxOfMask, copyRows, isEmpty, joined, NO_PIXELS, type Painted, type PixelBox } from './painted'
import { maskOf } from './printMask'
import { RowSpans } from './rowSpans'
import type { Samples } from './samples'
import type { WetFilms } from './wetFilms'

/** A step made ready to be laid: its prints with what they cover, and the pixels that they can change. */
export interface Ready extends StepPrints {
  readonly key: string
  readonly box: PixelBox
  /** Which pixels of the box it can change, where that is known by the row. */
  readonly spans: RowSpans | undefined
}

/** One step as it was laid, with what lay beneath it in its box. */
export interface Layer extends Ready {
  readonly paint: Float32Array<ArrayBuffer>
  /** Empty for as long as nothing in the picture shines. */
  sheen: Float32Array
  /** What lay on top beneath it, with thickness and ground; empty where no film is ever wet. */
  readonly top: Int32Array
  readonly thick: Float32Array
  readonly below: Float32Array
  /** Null where nobody asks how steps show. */
  readonly samples: Samples | null
}

/** The pixels of a box that some masks cover, where all of them know theirs by the row. */
function spansOf(masks: readonly Mask[], box: PixelBox): RowSpans | undefined {
  const spans = new RowSpans(box.i1 - box.i0, box.j1 - box.j0)
  for (const mask of masks) {
    if (mask.width === 0) continue
    if (!mask.spans) return undefined
    spans.addMask(mask, mask.i0 - box.i0, mask.j0 - box.j0)
  }
  return spans
}

/**
 * A step with its prints and what they cover.
 * @param key what its print depends on, as text
 * @param wet the films that are wet in the picture; null where all are dry
 */
export function readyStep(
  step: Step,
  key: string,
  world: World,
  head: HeadPicture,
  wet: WetFilms | null,
): Ready {
  const prints = stepPrints(step, world)
  const masks = prints.map(p => maskOf(p, head))
  const films = prints.map(() => wet?.next() ?? 0)
  const drags = wet ? dragMasks(step, world, head) : []
  const box = [...masks, ...drags.map(d => d.mask)].map(boxOfMask).reduce(joined, NO_PIXELS)
  // What looks around itself needs to know what lies in all of the box.
  const spans = drags.length || prints.some(p => p.works) ? undefined : spansOf(masks, box)
  return { key, step, prints, masks, films, drags, box, spans }
}

/** Makes the stores of layers, anew or of one that was taken off: a step that is changed needs as much again. */
export class Stores {
  private spare = new Float32Array(0)

  /** The layer of a step, with nothing in its stores that can be relied on. */
  layerOf(ready: Ready, shiny: boolean, anyWet: boolean, samples: Samples | null): Layer {
    const { box } = ready
    const n = isEmpty(box) ? 0 : (box.i1 - box.i0) * (box.j1 - box.j0)
    const wet = anyWet ? n : 0
    return {
      ...ready,
      paint: this.paintOf(3 * n),
      sheen: new Float32Array(shiny ? n : 0),
      top: new Int32Array(wet),
      thick: new Float32Array(wet),
      below: new Float32Array(3 * wet),
      samples,
    }
  }

  private paintOf(n: number): Float32Array<ArrayBuffer> {
    const { spare } = this
    this.spare = new Float32Array(0)
    return spare.length >= n && spare.length <= 2 * n ? spare : new Float32Array(n)
  }

  /** Takes the store of a layer that is needed no more. */
  free(layer: Layer): void {
    this.spare = layer.paint
  }
}

/**
 * Copies some pixels of the painted skin into a layer's store, or back.
 * @param width pixels of the picture across
 * @param shiny whether anything in the picture has a sheen
 */
export function copyLayer(
  layer: Layer,
  { paint, sheen, wet }: Painted,
  width: number,
  clip: PixelBox,
  into: boolean,
  shiny: boolean,
): void {
  const { box, spans } = layer
  copyRows(layer.paint, box, paint, width, 3, clip, into, spans)
  if (shiny) {
    // A layer from before anything shone had no sheen beneath it.
    if (!layer.sheen.length) layer.sheen = new Float32Array(layer.paint.length / 3)
    copyRows(layer.sheen, box, sheen, width, 1, clip, into, spans)
  }
  if (!wet) return
  copyRows(layer.top, box, wet.top, width, 1, clip, into, spans)
  copyRows(layer.thick, box, wet.thick, width, 1, clip, into, spans)
  copyRows(layer.below, box, wet.below, width, 3, clip, into, spans)
}
