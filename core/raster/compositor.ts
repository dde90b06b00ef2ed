import { COMPARED, type Print, type Step, type World } from '../look'
import type { LinearRgb } from '../paint'
import type { Bare } from './bareSkin'
import { finishPixels } from './compose'
import { copyLayer, readyStep, Stores, type Layer, type Ready } from './layer'
import { layStep, runsTogether } from './layStep'
import { blankPaint, isEmpty, joined, NO_PIXELS, shared, type Painted, type PixelBox } from './painted'
import { RowSpans } from './rowSpans'
import { Samples } from './samples'

/** Whether a print may leave a sheen where it lies. */
const leavesSheen = ({ particles, paints }: Print): boolean =>
  particles !== undefined || paints.some(p => p.finish === 'pearl' || p.finish === 'metallic')

/** A part of a picture that changed, as sRGB bytes. */
export interface Patch {
  readonly i0: number
  readonly j0: number
  readonly width: number
  readonly height: number
  readonly rgba: Uint8ClampedArray<ArrayBuffer>
}

/**
 * A picture that is painted anew only where something changed: every step keeps what it covered, so it can be
 * taken off again, and what it lays, so that a step beneath it can change without all of it being laid anew.
 */
export class IncrementalCompositor {
  private layers: Layer[] = []
  private painted: Painted
  private readonly rgba: Uint8ClampedArray<ArrayBuffer>
  private dirty: PixelBox
  /** The same by the row: what is laid askew fills little of its box. */
  private readonly rows: RowSpans
  /** Layers that were changed together with others, and of which nobody was told yet. */
  private readonly untold: Layer[] = []
  /** Whether anything that was laid so far has a sheen. */
  private shiny = false
  private readonly stores = new Stores()
  /** The layer that `compared` speaks of. */
  private told: Layer | null = null

  /** @param compares whether it is to be told how each step shows: see `compared` */
  constructor(
    readonly bare: Bare,
    private readonly compares = false,
  ) {
    const { grid, light } = bare.head
    this.painted = blankPaint(bare.head, false)
    this.rgba = new Uint8ClampedArray(4 * light.length)
    this.rows = new RowSpans(grid.width, grid.height)
    this.dirty = NO_PIXELS
    this.wholly()
  }

  /** All of the picture has changed. */
  private wholly(): void {
    const { width, height } = this.bare.head.grid
    this.dirty = { i0: 0, j0: 0, i1: width, j1: height }
    this.rows.addAll()
  }

  /** A box of the picture has changed. */
  private within(box: PixelBox): void {
    this.dirty = joined(this.dirty, box)
    this.rows.addBox(box)
  }

  /** What a layer can change has changed. */
  private where({ box, masks, drags }: Ready): void {
    this.dirty = joined(this.dirty, box)
    for (const mask of masks) this.rows.addMask(mask, mask.i0, mask.j0)
    for (const { mask } of drags) this.rows.addMask(mask, mask.i0, mask.j0)
  }

  /**
   * Brings the picture to some steps, one call of the iterator a step that was laid or laid on something else,
   * so that a newer wish can come between.
   * @param keyOf what a step's print depends on, as text: its own fields, its sheet, its ground
   * @param oneByOne lays every step above the first change anew, so that the picture is once that of the face after
   * each of them; else steps are changed in their places, which is quicker
   */
  *toward(
    steps: readonly Step[],
    world: World,
    keyOf: (step: Step) => string,
    oneByOne = false,
  ): Generator<Step, void> {
    const keys = steps.map(keyOf)
    this.watchWetness(steps, world)
    const { layers } = this
    let below = 0
    while (below < keys.length && below < layers.length && layers[below]!.key === keys[below]) below++
    let above = 0
    const most = Math.min(keys.length, layers.length) - below
    while (above < most && layers.at(-1 - above)!.key === keys.at(-1 - above)) above++
    const inPlace =
      keys.length === layers.length && keys.slice(below).some((k, i) => k === layers[below + i]!.key)
    if (!oneByOne && (above > 0 || inPlace)) {
      // Steps in the place of others: what stays between them is not laid anew as a whole.
      const upTo = inPlace ? keys.length : steps.length - above
      const ready = steps
        .slice(below, upTo)
        .map((step, i) =>
          inPlace && layers[below + i]!.key === keys[below + i]
            ? null
            : this.ready(step, keys[below + i]!, world),
        )
      this.untold.push(...this.changeBeneath(below, inPlace ? 0 : above, ready, world))
      yield* this.tell()
      return
    }
    // What a wish before this one changed and left untold.
    yield* this.tell()
    for (let n = layers.length; n > below; n--) this.takeOff()
    for (let n = below; n < steps.length; n++) {
      this.told = this.lay(this.ready(steps[n]!, keys[n]!, world), world)
      yield steps[n]!
    }
  }

  /** From the first time that a step meets a wet film on, what lies on top is kept of every pixel. */
  private watchWetness(steps: readonly Step[], world: World): void {
    if (this.painted.wet || !steps.some(s => world.wetUnder?.(s.id).size)) return
    this.layers.length = this.untold.length = 0
    this.painted = blankPaint(this.bare.head, true)
    this.wholly()
  }

  /** Tells of layers that were changed at once, one by one. */
  private *tell(): Generator<Step, void> {
    for (let layer = this.untold.shift(); layer; layer = this.untold.shift()) {
      if (!this.layers.includes(layer)) continue
      this.told = layer
      yield layer.step
    }
  }

  /**
   * Puts other steps in the place of those between the first ones and the last ones, which stay. What lies
   * above a change is laid anew only within the pixels that change beneath it. Done at once: left in the middle,
   * the picture would be of no look.
   * @param ready the steps that come in their place; null for one that stays where it is among them
   * @returns the layers that are new, and those of which something changed
   */
  private changeBeneath(
    below: number,
    above: number,
    ready: readonly (Ready | null)[],
    world: World,
  ): Layer[] {
    const upper = this.layers.splice(below)
    const stays = (i: number): boolean => i >= upper.length - above || ready[i] === null
    const going = upper.filter((_, i) => !stays(i))
    const first = [...going, ...ready.filter(r => r !== null)].map(l => l.box).reduce(joined, NO_PIXELS)
    // What a sheet drags along comes from beside each pixel: where some of it changes, all of it is laid anew.
    const changed = upper.reduce(
      (area, l, i) =>
        stays(i) && (l.drags.length || runsTogether(l.prints)) && !isEmpty(shared(l.box, area))
          ? joined(area, l.box)
          : area,
      first,
    )
    for (const layer of upper.toReversed()) {
      if (going.includes(layer)) this.uncover(layer)
      else this.copy(layer, shared(layer.box, changed), false)
    }
    const touched: Layer[] = []
    const again = (layer: Layer): void => {
      const clip = shared(layer.box, changed)
      this.layers.push(layer)
      if (isEmpty(clip)) return
      this.copy(layer, clip, true)
      this.layAll(layer, world, clip)
      if (layer.samples?.changed(clip, layer.paint, layer.box, this.painted.paint)) touched.push(layer)
    }
    ready.forEach((r, i) => (r ? touched.push(this.lay(r, world)) : again(upper[i]!)))
    for (const layer of upper.slice(upper.length - above)) again(layer)
    // What was changed alone is known by the row; what was laid anew above it, by its box.
    if (touched.length > ready.length || going.length !== upper.length) this.within(changed)
    return touched
  }

  /** Puts back what a layer covered. */
  private uncover(layer: Layer): void {
    this.copy(layer, layer.box, false)
    layer.films.forEach(film => this.painted.wet?.forget(film))
    this.where(layer)
  }

  private takeOff(): void {
    const layer = this.layers.pop()!
    this.uncover(layer)
    this.stores.free(layer)
  }

  private ready = (step: Step, key: string, world: World): Ready =>
    readyStep(step, key, world, this.bare.head, this.painted.wet ?? null)

  private lay(ready: Ready, world: World): Layer {
    const { box, masks } = ready
    const samples = this.compares ? new Samples(masks, box, this.bare.head, COMPARED) : null
    this.shiny ||= ready.prints.some(leavesSheen)
    const layer = this.stores.layerOf(ready, this.shiny, Boolean(this.painted.wet), samples)
    this.copy(layer, box, true)
    this.layers.push(layer)
    this.layAll(layer, world, box)
    samples?.changed(box, layer.paint, box, this.painted.paint)
    this.where(layer)
    return layer
  }

  private layAll(layer: Layer, world: World, clip: PixelBox): void {
    layStep(this.painted, layer, this.bare, world, clip, layer)
  }

  /** Copies some pixels of the painted skin into a layer's store, or back. */
  private copy(layer: Layer, clip: PixelBox, into: boolean): void {
    copyLayer(layer, this.painted, this.bare.head.grid.width, clip, into, this.shiny)
  }

  /** The part of the picture that has changed since it was last asked for; null when nothing has. */
  patch(): Patch | null {
    const { i0, j0, i1, j1 } = this.dirty
    if (isEmpty(this.dirty)) return null
    this.finish()
    const { width } = this.bare.head.grid
    const w = i1 - i0
    const rgba = new Uint8ClampedArray(4 * w * (j1 - j0))
    for (let j = j0; j < j1; j++)
      rgba.set(this.rgba.subarray(4 * (j * width + i0), 4 * (j * width + i1)), 4 * (j - j0) * w)
    return { i0, j0, width: w, height: j1 - j0, rgba }
  }

  /** The whole picture so far. */
  whole(): Uint8ClampedArray<ArrayBuffer> {
    this.finish()
    return this.rgba.slice()
  }

  /** Finishes what has changed. */
  private finish(): void {
    finishPixels(this.bare.head, this.painted, this.rows, this.rgba)
    this.rows.clear()
    this.dirty = NO_PIXELS
  }

  /**
   * Colours of the print that was laid last, and of what lies beneath it, from pixels that it covers, spread
   * evenly.
   */
  compared(): [LinearRgb, LinearRgb][] {
    return this.told?.samples?.pairs() ?? []
  }
}
