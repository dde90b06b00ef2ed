import { COMPARED, kindOf, type Step, type World } from '../look'
import type { LinearRgb } from '../paint'
import type { Bare } from './bareSkin'
import { finishedPatch } from './compose'
import { joined, NO_PIXELS, type Painted, type PixelBox } from './painted'
import { layPrint } from './printLook'
import { maskOf } from './printMask'

/**
 * One step as it was laid: what it was laid from, where it changed the picture, and what lay there before.
 */
interface Layer {
  readonly key: string
  readonly box: PixelBox
  readonly paint: Float32Array
  readonly sheen: Float32Array
  readonly cover: Float32Array
}

/** A part of a picture that changed, as sRGB bytes. */
export interface Patch {
  readonly i0: number
  readonly j0: number
  readonly width: number
  readonly height: number
  readonly rgba: Uint8ClampedArray<ArrayBuffer>
}

/**
 * A picture that is painted anew only from the changed step upward and only where something changed: every
 * step keeps what it covered, so it can be taken off again.
 */
export class IncrementalCompositor {
  private readonly layers: Layer[] = []
  private readonly painted: Painted
  private readonly rgba: Uint8ClampedArray<ArrayBuffer>
  private dirty: PixelBox

  constructor(readonly bare: Bare) {
    const { grid, albedo, light } = bare.head
    this.painted = { paint: albedo.slice(), sheen: new Float32Array(light.length) }
    this.rgba = new Uint8ClampedArray(4 * light.length)
    this.dirty = { i0: 0, j0: 0, i1: grid.width, j1: grid.height }
  }

  /** How many of the first steps lie already as they are wanted. */
  private kept(keys: readonly string[]): number {
    let n = 0
    while (n < keys.length && n < this.layers.length && this.layers[n]!.key === keys[n]) n++
    return n
  }

  /**
   * Brings the picture to some steps, one call of the iterator a step, so that a newer wish can come between.
   * @param keyOf what a step's print depends on, as text: its own fields, its sheet, its ground
   */
  *toward(steps: readonly Step[], world: World, keyOf: (step: Step) => string): Generator<Step, void> {
    const keys = steps.map(keyOf)
    for (let n = this.layers.length, keep = this.kept(keys); n > keep; n--) this.takeOff()
    for (let n = this.layers.length; n < steps.length; n++) {
      this.lay(steps[n]!, keys[n]!, world)
      yield steps[n]!
    }
  }

  private takeOff(): void {
    const { box, paint, sheen } = this.layers.pop()!
    this.copy(box, paint, sheen, false)
    this.dirty = joined(this.dirty, box)
  }

  private lay(step: Step, key: string, world: World): void {
    const { head, grain } = this.bare
    const prints = kindOf(step).prints(step, world)
    const masks = prints.map(p => maskOf(p, head))
    const box = masks
      .map((m): PixelBox => ({ i0: m.i0, j0: m.j0, i1: m.i0 + m.width, j1: m.j0 + m.height }))
      .reduce(joined, NO_PIXELS)
    const n = Math.max(0, box.i1 - box.i0) * Math.max(0, box.j1 - box.j0)
    const paint = new Float32Array(3 * n)
    const sheen = new Float32Array(n)
    this.copy(box, paint, sheen, true)
    const cover = new Float32Array(n)
    const w = box.i1 - box.i0
    for (const m of masks) {
      for (let j = 0; j < m.height; j++)
        for (let i = 0; i < m.width; i++) {
          const at = (m.j0 + j - box.j0) * w + m.i0 + i - box.i0
          cover[at] = 1 - (1 - cover[at]!) * (1 - m.data[j * m.width + i]!)
        }
    }
    this.layers.push({ key, box, paint, sheen, cover })
    prints.forEach((print, i) => layPrint(this.painted, print, head, grain, masks[i], world.memo))
    this.dirty = joined(this.dirty, box)
  }

  /** Copies a box of the painted skin into a layer's store, or back. */
  private copy({ i0, j0, i1, j1 }: PixelBox, paint: Float32Array, sheen: Float32Array, into: boolean): void {
    const { width } = this.bare.head.grid
    const w = i1 - i0
    for (let j = j0; j < j1; j++) {
      const at = j * width + i0
      const n = (j - j0) * w
      if (into) {
        paint.set(this.painted.paint.subarray(3 * at, 3 * (at + w)), 3 * n)
        sheen.set(this.painted.sheen.subarray(at, at + w), n)
      } else {
        this.painted.paint.set(paint.subarray(3 * n, 3 * (n + w)), 3 * at)
        this.painted.sheen.set(sheen.subarray(n, n + w), at)
      }
    }
  }

  /** The part of the picture that has changed since it was last asked for; null when nothing has. */
  patch(): Patch | null {
    const { i0, j0, i1, j1 } = this.dirty
    if (i1 <= i0 || j1 <= j0) return null
    finishedPatch(this.bare.head, this.painted, this.dirty, this.rgba)
    this.dirty = NO_PIXELS
    const { width } = this.bare.head.grid
    const w = i1 - i0
    const rgba = new Uint8ClampedArray(4 * w * (j1 - j0))
    for (let j = j0; j < j1; j++)
      rgba.set(this.rgba.subarray(4 * (j * width + i0), 4 * (j * width + i1)), 4 * (j - j0) * w)
    return { i0, j0, width: w, height: j1 - j0, rgba }
  }

  /** The whole picture so far. */
  whole(): Uint8ClampedArray<ArrayBuffer> {
    finishedPatch(this.bare.head, this.painted, this.dirty, this.rgba)
    this.dirty = NO_PIXELS
    return this.rgba.slice()
  }

  /**
   * Colours of the last step's print and of what lay beneath, from pixels that it covers; spread evenly, at
   * most some.
   */
  compared(most = COMPARED): [LinearRgb, LinearRgb][] {
    const layer = this.layers.at(-1)
    if (!layer) return []
    const { box, paint } = layer
    const { head } = this.bare
    const w = box.i1 - box.i0
    const changed: number[] = []
    const inside = 0.75 * layer.cover.reduce((most, c) => Math.max(most, c), 0)
    // A print that a coarse picture hardly shows, such as a hair line, is not judged by it.
    if (inside < 0.2) return []
    for (let n = 0; n < paint.length / 3; n++) {
      const p = (box.j0 + Math.floor(n / w)) * head.grid.width + box.i0 + (n % w)
      // Pixels at the edge, and such as hair covers, say nothing of the print.
      if (layer.cover[n]! >= inside && head.over[4 * p + 3]! < 0.1 && head.skin[p]! > 0.9) changed.push(n)
    }
    const every = Math.max(1, Math.floor(changed.length / most))
    return changed
      .filter((_, i) => i % every === 0)
      .map(n => {
        const p = 3 * ((box.j0 + Math.floor(n / w)) * head.grid.width + box.i0 + (n % w))
        const now = this.painted.paint
        return [
          [paint[3 * n]!, paint[3 * n + 1]!, paint[3 * n + 2]!],
          [now[p]!, now[p + 1]!, now[p + 2]!],
        ]
      })
  }
}
