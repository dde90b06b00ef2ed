import { describe, expect, it } from 'vitest'
import { StagePicture, type Update, type Wish } from '../../../app/workers/stagePicture'
import { freshLook, freshWash, withSteps, type Look } from '#core/look'
import { BareSkinCache, finishedPicture, printSteps } from '#core/raster'
import { paint, world } from '../world'

const bares = new BareSkinCache(1e8)
const look: Look = {
  ...freshLook('l', 'L'),
  steps: ['forehead', 'left.cheek', 'right.cheek'].map((z, i) =>
    freshWash(`w${i}`, z, [z as never], [paint('gull')], world.ground),
  ),
}
const wish = (l: Look, pxPerMm: number, have: number | null): Wish => ({
  look: l,
  world: withSteps(world, l.steps),
  pxPerMm,
  upTo: l.steps.length,
  have,
})
const keyOf = (step: unknown) => JSON.stringify(step)

/** A page as the stage is one: it puts every patch that arrives where it belongs. */
class Page {
  have: number | null = null
  width = 0
  rgba = new Uint8ClampedArray()
  take(answer: Update | null): void {
    if (!answer) return
    if (answer.fresh) {
      this.width = answer.width
      this.rgba = new Uint8ClampedArray(4 * answer.width * answer.height)
    }
    this.have = answer.picture
    const { patch } = answer
    if (patch)
      for (let j = 0; j < patch.height; j++)
        this.rgba.set(
          patch.rgba.subarray(4 * j * patch.width, 4 * (j + 1) * patch.width),
          4 * ((patch.j0 + j) * this.width + patch.i0),
        )
  }
}

const whole = (l: Look, px: number): Uint8ClampedArray => {
  const bare = bares.of(l, world.ground, px)
  return finishedPicture(bare.head, printSteps(bare.head, l.steps, withSteps(world, l.steps), bare.grain))
}

describe('the picture of the stage', () => {
  it('never puts a patch of one size into a picture of another, whatever was given up between', async () => {
    // Every pause hands over to whatever the page wishes next.
    const queue: (() => void)[] = []
    const stage = new StagePicture(bares, () => new Promise(resolve => queue.push(resolve)))
    const page = new Page()
    const drain = async (): Promise<void> => {
      for (let n = 0; n < 40; n++) {
        queue.splice(0).forEach(go => go())
        await Promise.resolve()
        await new Promise(resolve => setTimeout(resolve))
      }
    }
    const first = stage.update(wish(look, 1, page.have), keyOf).then(a => page.take(a))
    await drain()
    await first
    const less = { ...look, steps: look.steps.slice(0, 2) }
    // A finer picture is begun and given up for a change at that fineness, before the page saw any of it.
    const given = stage.update(wish(look, 1.5, page.have), keyOf)
    const next = stage.update(wish(less, 1.5, page.have), keyOf)
    await drain()
    expect(await given).toBeNull()
    page.take(await next)
    expect(Buffer.from(page.rgba).equals(Buffer.from(whole(less, 1.5)))).toBe(true)
    // From there on only what changed is sent.
    const last = stage.update(wish(look, 1.5, page.have), keyOf)
    await drain()
    const answer = (await last)!
    expect(answer.fresh).toBe(false)
    page.take(answer)
    expect(Buffer.from(page.rgba).equals(Buffer.from(whole(look, 1.5)))).toBe(true)
  })

  it('gives up what nobody waits for any more', async () => {
    const queue: (() => void)[] = []
    const stage = new StagePicture(bares, () => new Promise(resolve => queue.push(resolve)))
    const given = stage.update(wish(look, 1, null), keyOf)
    await new Promise(resolve => setTimeout(resolve))
    stage.giveUp()
    queue.splice(0).forEach(go => go())
    expect(await given).toBeNull()
    // One step was laid, and the others not.
    expect(queue).toEqual([])
  })

  it('sends the whole to a page that has nothing, or another picture', async () => {
    const stage = new StagePicture(bares, () => Promise.resolve())
    const a = (await stage.update(wish(look, 1, null), keyOf))!
    expect(a.fresh).toBe(true)
    expect((await stage.update(wish(look, 1, a.picture), keyOf))!.patch).toBeNull()
    expect((await stage.update(wish(look, 1, a.picture + 7), keyOf))!.fresh).toBe(true)
    expect(a.shows.map(s => s.stepId)).toEqual(['w0', 'w1', 'w2'])
  })

  it('from near paints what the whole picture shows there, but for the grain of its colours', async () => {
    const px = 2
    const { box } = world.ground
    const size = { width: 120, height: 160 }
    // In the middle of the washes, and away from the edges of what is painted.
    const [i0, j0, rim] = [40 * px, 80 * px, 14 * px]
    const part = {
      minX: box.minX + i0 / px,
      minY: box.minY + j0 / px,
      maxX: box.minX + (i0 + size.width) / px,
      maxY: box.minY + (j0 + size.height) / px,
    }
    const near = new StagePicture(bares, () => Promise.resolve(), false)
    const { patch, shows } = (await near.update({ ...wish(look, px, null), box: part }, keyOf))!
    expect([patch!.width, patch!.height]).toEqual([size.width, size.height])
    expect(shows).toEqual([])
    const all = whole(look, px)
    const wide = Math.round((box.maxX - box.minX) * px)
    let far = 0
    let looked = 0
    for (let j = rim; j < size.height - rim; j++)
      for (let i = rim; i < size.width - rim; i++) {
        const [p, q] = [4 * (j * size.width + i), 4 * ((j + j0) * wide + i + i0)]
        const off = [0, 1, 2].map(c => Math.abs(patch!.rgba[p + c]! - all[q + c]!))
        looked++
        if (Math.max(...off) > 6) far++
      }
    expect(looked).toBeGreaterThan(1000)
    expect(far / looked).toBeLessThan(0.01)
  })
})
