import { describe, expect, it } from 'vitest'
import { familyOf, groundFor, hostsIn, stepsOff, withSteps, type Look, type World } from '../../../core/look'
import {
  BareSkinCache,
  differencePicture,
  differingShare,
  finishedPicture,
  paintSeveral,
  printSteps,
} from '../../../core/raster'
import { looks } from '../../../demo/looks'
import { world } from '../world'

const PX = 1
const family = looks.filter(l => familyOf(l).id === 'demo-ember-wing')
const worldOf = (look: Look): World =>
  withSteps({ ...world, ground: groundFor(look), ...hostsIn(look.steps) }, look.steps, stepsOff(look))
const bares = new BareSkinCache(1e8)
const bareOf = (look: Look, { ground }: World) => bares.of(look, ground, PX)
const keyOf = () => (step: unknown) => JSON.stringify(step)
const painted = (list: readonly Look[]) => [
  ...paintSeveral(
    list.map(look => ({ look, world: worldOf(look) })),
    PX,
    bareOf,
    keyOf,
  ),
]

describe('several looks painted together', () => {
  it('are to the last byte what each is alone, in whatever order they come', () => {
    const order = [family[2]!, family[0]!, family[3]!, family[1]!]
    for (const { index, rgba } of painted(order)) {
      const look = order[index]!
      const bare = bareOf(look, worldOf(look))
      const alone = finishedPicture(bare.head, printSteps(bare.head, look.steps, worldOf(look), bare.grain))
      expect(Buffer.compare(Buffer.from(rgba), Buffer.from(alone))).toBe(0)
    }
  })

  it('are so when steps change in several places at once, to and fro', () => {
    const base = family[0]!
    const moved = (places: readonly number[]): Look => {
      const copy = structuredClone(base)
      for (const i of places) {
        const step = copy.steps[i]!
        if (step.kind === 'sheet') step.tilt += 20 + i
        else step.twin = { rule: 'none', about: null, own: null }
      }
      return copy
    }
    const list = [base, moved([2, 5, 13]), moved([3, 13]), base, moved([1, 2, 6, 14])]
    for (const { index, rgba } of painted(list)) {
      const look = list[index]!
      const bare = bareOf(look, worldOf(look))
      const alone = finishedPicture(bare.head, printSteps(bare.head, look.steps, worldOf(look), bare.grain))
      expect(Buffer.compare(Buffer.from(rgba), Buffer.from(alone))).toBe(0)
    }
  })

  it('tell how the steps of each show, and of no other', () => {
    for (const { index, shows } of painted([family[0]!, family[3]!])) {
      const ids = [family[0]!, family[3]!][index]!.steps.map(s => s.id)
      expect(shows.length).toBeGreaterThan(3)
      expect(shows.every(s => ids.includes(s.stepId))).toBe(true)
    }
  })

  it('stand on their own skins', () => {
    const dark = family[0]!
    const fair = { ...dark, id: 'fair', skin: { ...dark.skin, colour: '#f3d9c8' } }
    const [a, b, again] = painted([dark, fair, { ...dark, id: 'again' }]).sort((p, q) => p.index - q.index)
    expect(Buffer.compare(Buffer.from(a!.rgba), Buffer.from(again!.rgba))).toBe(0)
    expect(differencePicture(a!.rgba, b!.rgba).share).toBeGreaterThan(0.2)
  })
})

describe('the difference of two pictures', () => {
  const grey = (v: number) => Uint8ClampedArray.of(v, v, v, 255, 200, 40, 40, 255)

  it('marks what can be seen to differ, and nothing else', () => {
    const same = differencePicture(grey(100), grey(100))
    expect(same.share).toBe(0)
    const { share, rgba } = differencePicture(grey(100), grey(200))
    expect(share).toBe(0.5)
    expect([...rgba.slice(0, 3)]).toEqual([114, 42, 87])
    expect(rgba[4]).toBeGreaterThan(200)
    // One step of 255 is nothing that anybody sees.
    expect(differencePicture(grey(100), grey(101)).share).toBe(0)
  })

  it('is told quickly as a share', () => {
    expect(differingShare(grey(100), grey(100))).toBe(0)
    expect(differingShare(grey(100), grey(105))).toBe(0)
    expect(differingShare(grey(100), grey(200))).toBe(1)
  })

  it('refuses pictures of two sizes', () => {
    expect(() => differingShare(grey(1), new Uint8ClampedArray(4))).toThrow(RangeError)
    expect(() => differencePicture(grey(1), new Uint8ClampedArray(4))).toThrow(RangeError)
  })
})
