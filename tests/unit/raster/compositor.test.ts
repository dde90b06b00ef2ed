import { describe, expect, it } from 'vitest'
import { looks } from '../../looks'
import { groundFor, withSteps, type Look, type Step, type World } from '#core/look'
import {
  BareSkinCache,
  coverageOf,
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
            if (data[q * width + p])
              least = Math.min(
                least,
                Math.hypot(Math.max(0, Math.abs(p - i) - 0.5), Math.max(0, Math.abs(q - j) - 0.5)),
              )
        // A dot of one pixel is a disc here and a square there: 0.2 pixels apart at its corners.
        expect(Math.abs(got[j * width + i]! - least)).toBeLessThan(0.22)
      }
    }
  })

  it('are measured to the edge within a pixel that is partly covered', () => {
    const row = distanceFrom({ i0: 0, j0: 0, width: 5, height: 1, data: Float32Array.of(1, 0.05, 0, 0, 0) })
    ;[0, 0.45, 1.45, 2.45, 3.45].forEach((d, i) => expect(row[i]).toBeCloseTo(d, 5))
  })

  it('are right to a tenth of a pixel from a straight edge at every angle, and from discs of every size', () => {
    const grid = { x0: 0, y0: 0, pxPerMm: 1, width: 60, height: 60 }
    const whole = ({ i0, j0, width, height, data }: Mask): Mask => {
      const all = new Float32Array(3600)
      for (let j = 0; j < height; j++) all.set(data.subarray(j * width, (j + 1) * width), (j + j0) * 60 + i0)
      return { i0: 0, j0: 0, width: 60, height: 60, data: all }
    }
    const off = (mask: Mask, distance: (x: number, y: number) => number): number => {
      const got = distanceFrom(whole(mask))
      let worst = 0
      for (let j = 6; j < 54; j++)
        for (let i = 6; i < 54; i++) {
          const d = distance(i + 0.5, j + 0.5)
          if (d > 0 && d < 15) worst = Math.max(worst, Math.abs(got[j * 60 + i]! - d))
        }
      return worst
    }
    for (let angle = 0; angle < 360; angle += 7) {
      const c = Math.cos((angle * Math.PI) / 180)
      const s = Math.sin((angle * Math.PI) / 180)
      const at = (u: number, v: number) => [30.3 + u * c - v * s, 29.6 + u * s + v * c]
      // A strip that runs out of the picture at both ends: its edge is straight wherever it is looked at.
      const strip = Float64Array.from([at(-90, -4.3), at(90, -4.3), at(90, 4.3), at(-90, 4.3)].flat())
      const across = (x: number, y: number) => Math.abs((y - 29.6) * c - (x - 30.3) * s) - 4.3
      expect(off(coverageOf([strip], grid), across), `${angle} degrees`).toBeLessThan(0.1)
    }
    for (const r of [2, 5, 11]) {
      const disc = Float64Array.from({ length: 400 }, (_, i) => {
        const a = (2 * Math.PI * (i >> 1)) / 200
        return i % 2 ? 30.2 + r * Math.sin(a) : 29.7 + r * Math.cos(a)
      })
      const out = (x: number, y: number) => Math.hypot(x - 29.7, y - 30.2) - r
      expect(off(coverageOf([disc], grid), out), `radius ${r}`).toBeLessThan(0.1)
    }
  })

  it('of nothing are far', () => {
    expect(
      distanceFrom({ i0: 0, j0: 0, width: 3, height: 3, data: new Float32Array(9) })[0]!,
    ).toBeGreaterThan(1e3)
  })
})
