import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { groundFor, withSteps, type Look, type Step, type World } from '#core/look'
import {
  BareSkinCache,
  distanceFrom,
  finishedPicture,
  IncrementalCompositor,
  printSteps,
  type Mask,
} from '#core/raster'
import { sheets, world } from '../world'

const moth = looks.find(l => l.name === 'Plain Midnight Moth')!
const there = (look: Look): World =>
  withSteps({ ...world, stencil: id => sheets.get(id), ground: groundFor(look) }, look.steps)
const key = (step: Step) => JSON.stringify(step)
const bare = new BareSkinCache(1e8).of(moth, groundFor(moth), 1)
function run(painting: IncrementalCompositor, steps: readonly Step[]): Step[] {
  return [...painting.toward(steps, there(moth), key)]
}

/** Whether two pictures are the same in every byte. */
const same = (a: Uint8ClampedArray, b: Uint8ClampedArray): boolean =>
  Buffer.from(a.buffer).equals(Buffer.from(b.buffer))

describe('a painting that is kept', () => {
  it('is the same picture as one painted from nothing', () => {
    const painting = new IncrementalCompositor(bare)
    run(painting, moth.steps)
    expect(
      same(
        painting.whole(),
        finishedPicture(bare.head, printSteps(bare.head, moth.steps, there(moth), bare.grain)),
      ),
    ).toBe(true)
  })

  it('is painted anew only from the changed step upward, and only where something changed', () => {
    const painting = new IncrementalCompositor(bare)
    const last = moth.steps.length - 1
    run(painting, moth.steps)
    painting.whole()
    const changed = moth.steps.map((s, i) => (i === last && 'tilt' in s ? { ...s, tilt: s.tilt + 4 } : s))
    expect(run(painting, changed).map(s => s.id)).toEqual([moth.steps[last]!.id])
    const patch = painting.patch()!
    expect(patch.width * patch.height).toBeLessThan(0.5 * bare.head.grid.width * bare.head.grid.height)
    expect(painting.patch()).toBeNull()
    const fresh = new IncrementalCompositor(bare)
    run(fresh, changed)
    expect(same(painting.whole(), fresh.whole())).toBe(true)
  })

  it('goes back when steps are taken off, and takes another order', () => {
    const painting = new IncrementalCompositor(bare)
    const empty = new IncrementalCompositor(bare)
    run(painting, moth.steps)
    run(painting, [])
    expect(same(painting.whole(), empty.whole())).toBe(true)
    const turned = [...moth.steps].reverse()
    const fresh = new IncrementalCompositor(bare)
    run(painting, turned)
    run(fresh, turned)
    expect(same(painting.whole(), fresh.whole())).toBe(true)
  })

  it('can be left in the middle for a newer wish', () => {
    const painting = new IncrementalCompositor(bare)
    const job = painting.toward(moth.steps, there(moth), key)
    job.next()
    job.next()
    run(painting, moth.steps.slice(0, 1))
    const fresh = new IncrementalCompositor(bare)
    run(fresh, moth.steps.slice(0, 1))
    expect(same(painting.whole(), fresh.whole())).toBe(true)
  })

  describe('when a step beneath others changes', () => {
    const turned = (step: Step, by: number): Step =>
      'tilt' in step ? { ...step, tilt: step.tilt + by } : step
    /** Pairs of each step as a painting from nothing finds them. */
    function pairsOf(steps: readonly Step[]): Map<string, unknown> {
      const fresh = new IncrementalCompositor(bare, true)
      const found = new Map<string, unknown>()
      for (const step of fresh.toward(steps, there(moth), key)) found.set(step.id, fresh.compared())
      return found
    }
    const changes: [string, (steps: Step[]) => Step[]][] = [
      ['the first', s => s.map((step, i) => (i === 0 ? { ...step, label: 'other' } : step))],
      ['one in the middle', s => s.map((step, i) => (i === 5 ? turned(step, 9) : step))],
      ['one taken out', s => s.filter((_, i) => i !== 4)],
      ['one put in', s => [...s.slice(0, 3), { ...turned(s[1]!, 30), id: 'more' }, ...s.slice(3)]],
      ['two exchanged', s => [s[1]!, s[0]!, ...s.slice(2)]],
      ['one moved to the end', s => [...s.slice(0, 2), ...s.slice(3), s[2]!]],
    ]
    it.each(changes)('%s: the picture and how steps show are as if painted from nothing', (_name, change) => {
      const painting = new IncrementalCompositor(bare, true)
      const found = new Map<string, unknown>()
      const bring = (steps: readonly Step[]) => {
        for (const step of painting.toward(steps, there(moth), key)) found.set(step.id, painting.compared())
      }
      bring(moth.steps)
      const next = change([...moth.steps])
      bring(next)
      const fresh = new IncrementalCompositor(bare)
      run(fresh, next)
      expect(same(painting.whole(), fresh.whole())).toBe(true)
      for (const [id, pairs] of pairsOf(next)) expect(found.get(id)).toEqual(pairs)
      bring(moth.steps)
      const again = new IncrementalCompositor(bare)
      run(again, moth.steps)
      expect(same(painting.whole(), again.whole())).toBe(true)
    })

    it('tells of what was changed together even after a wish was given up', () => {
      const painting = new IncrementalCompositor(bare, true)
      run(painting, moth.steps)
      const next = moth.steps.map((s, i) =>
        i === 0 ? { ...s, label: 'other' } : turned(s, i === 1 ? 20 : 0),
      )
      const job = painting.toward(next, there(moth), key)
      const first = job.next().value as Step
      const rest = run(painting, next).map(s => s.id)
      expect(rest).not.toContain(first.id)
      expect(rest.length).toBeGreaterThan(2)
      expect(run(painting, next)).toEqual([])
    })
  })

  it('compares a print with what lay beneath it', () => {
    const painting = new IncrementalCompositor(bare, true)
    run(painting, moth.steps)
    const pairs = painting.compared()
    expect(pairs.length).toBeGreaterThan(20)
    expect(pairs.some(([a, b]) => Math.abs(a[0] - b[0]) > 0.02)).toBe(true)
    expect(new IncrementalCompositor(bare).compared()).toEqual([])
  })
})

describe('distances', () => {
  it('are those of a brute-force search', () => {
    const width = 23
    const height = 17
    const data = new Float32Array(width * height)
    for (const [i, j] of [
      [3, 4],
      [15, 12],
      [20, 2],
      [4, 4],
    ] as const)
      data[j * width + i] = 1
    const mask: Mask = { i0: 0, j0: 0, width, height, data }
    const got = distanceFrom(mask)
    for (let j = 0; j < height; j++) {
      for (let i = 0; i < width; i++) {
        let least = Infinity
        for (let q = 0; q < height; q++)
          for (let p = 0; p < width; p++)
            if (data[q * width + p]) least = Math.min(least, Math.hypot(p - i, q - j))
        expect(got[j * width + i]!).toBeCloseTo(Math.max(0, least - 0.5), 5)
      }
    }
  })

  it('within a reach are the same through a window', () => {
    const width = 40
    const height = 30
    const data = Float32Array.from({ length: width * height }, (_, p) =>
      (p * 7919) % 97 < 3 ? ((p * 31) % 10) / 9 : 0,
    )
    const mask: Mask = { i0: 0, j0: 0, width, height, data }
    for (const reach of [2, 4, 8]) {
      const near = distanceFrom(mask, reach)
      const all = distanceFrom(mask)
      all.forEach((d, p) =>
        d <= reach ? expect(near[p]!).toBeCloseTo(d, 4) : expect(near[p]!).toBeGreaterThan(reach - 0.01),
      )
    }
  })

  it('of half-covered pixels lie half a pixel nearer, and of nothing are far', () => {
    const data = new Float32Array(9)
    data[4] = 0.5
    expect(distanceFrom({ i0: 0, j0: 0, width: 3, height: 3, data })[5]!).toBeGreaterThan(0.6)
    expect(
      distanceFrom({ i0: 0, j0: 0, width: 3, height: 3, data: new Float32Array(9) })[0]!,
    ).toBeGreaterThan(1e3)
  })
})
