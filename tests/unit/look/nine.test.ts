import { describe, expect, it } from 'vitest'
import {
  alternativesAt,
  alternativesTo,
  apart,
  featuresOf,
  freshSheet,
  hostsIn,
  nextBest,
  NINE,
  paintsOf,
  parseLook,
  withAlternative,
  type Alternative,
  type AlternativeSort,
  type Look,
  type Sources,
} from '../../../core/look'
import { linearOf } from '../../../core/paint'
import { discAt } from '../../../core/skin'
import { fitsFor } from '../../../core/stencil'
import { looks } from '../../../demo/looks'
import { paints } from '../../../demo/paints'
import { ground, sheets, world } from '../world'

const look = looks.find(l => l.id === 'demo-ember-wing')!
const stepOf = (label: string) => look.steps.find(s => s.label === label)!
const swirl = stepOf('Swirl of heat')
const fits = fitsFor(
  {
    ring: discAt([52, 52], 24),
    even: false,
    keepOuts: [],
    focus: [0, 0],
    zone: 'cheek',
  },
  sheets
    .values()
    .filter(s => s.openings.length < 120)
    .slice(0, 16)
    .map(s => ({ ...s, zones: [], heading: null, axes: [], bridge: null })),
)
const sources: Sources = {
  look,
  world: { ...world, ...hostsIn(look.steps) },
  kit: paints,
  fits,
  beneath: linearOf(look.skin.colour),
}
const of = (list: readonly Alternative[], sort: AlternativeSort) => list.filter(a => a.sort === sort)
/** Nine of a list, as they are chosen one by one. */
function nineOf(list: readonly Alternative[], pinned: readonly Alternative[] = [], seen: string[] = []) {
  const standing = [...pinned]
  const now = featuresOf(swirl, false)
  while (standing.length < NINE) {
    const next = nextBest(list, { now, standing, pinned, seen: new Set(seen) })
    if (!next) break
    standing.push(next)
  }
  return standing
}
const least = (list: readonly Alternative[]) =>
  Math.min(...list.flatMap((a, i) => list.slice(i + 1).map(b => apart(a.features, b.features))))

describe('alternatives to a step', () => {
  const list = alternativesTo(swirl, sources, 'new')

  it('are of every sort, each with why, under a key of its own, and each makes a look that can be', () => {
    for (const sort of ['stencil', 'colour', 'load', 'tilt', 'twin', 'outline'] as const)
      expect(of(list, sort).length).toBeGreaterThan(0)
    expect(new Set(list.map(a => a.key)).size).toBe(list.length)
    for (const a of list) {
      expect(a.why.length).toBeGreaterThan(3)
      expect(a.score).toBeGreaterThanOrEqual(0)
      expect(a.score).toBeLessThanOrEqual(1)
      const read = parseLook({ ...look, steps: withAlternative(look, swirl.id, a) })
      expect(read.ok ? '' : read.errors[0]).toBe('')
    }
  })

  it('differ from what is there, and leave the look as it was', () => {
    const before = structuredClone(look)
    for (const a of list) expect([...a.steps.slice(1), a.steps[0]]).not.toEqual([swirl])
    expect(look).toEqual(before)
  })

  it('offer no paint that is not for eyes where eyes are, nor on lips one that is not for lips', () => {
    const unsafe = paints.filter(p => !p.eyeSafe).map(p => p.id)
    const lid: Look['steps'][number] = freshSheet('lid', 'On the lid', 'star-set', [32, 3], {
      id: 'gull',
      name: 'x',
      colour: '#ffffff',
    })
    const onLid = alternativesTo(lid, { ...sources, fits: [] }, 'new')
    expect(onLid.flatMap(a => a.steps.flatMap(paintsOf)).some(p => unsafe.includes(p.id))).toBe(false)
    expect(unsafe.length).toBeGreaterThan(0)
  })

  it('bring a base with several colours into another one from light to dark', () => {
    const fire = stepOf('Fire')
    const colours = of(alternativesTo(fire, sources, 'new'), 'colour')
    for (const a of colours) {
      const ids = paintsOf(a.steps[0]!).map(p => p.id)
      expect(ids).toHaveLength(paintsOf(fire).length)
      expect(ids.filter(id => paintsOf(fire).some(p => p.id === id)).length).toBeLessThan(ids.length)
    }
  })

  it('take an outline off where there is one', () => {
    const lined: Look = {
      ...look,
      steps: [...look.steps, ...of(list, 'outline')[0]!.steps.slice(1)],
    }
    const [bare] = of(alternativesTo(swirl, { ...sources, look: lined }, 'more'), 'outline')
    expect(bare).toMatchObject({ why: 'without its outline', without: ['new'] })
    expect(withAlternative(lined, swirl.id, bare!).some(s => s.id === 'new')).toBe(false)
  })
})

describe('the nine', () => {
  const list = alternativesTo(swirl, sources, 'new')

  it('are nine, of at most three of a sort, and further apart than the nine of the best scores', () => {
    const nine = nineOf(list)
    expect(nine).toHaveLength(NINE)
    for (const a of nine) expect(nine.filter(b => b.sort === a.sort).length).toBeLessThanOrEqual(3)
    const best = [...list].sort((a, b) => b.score - a.score).slice(0, NINE)
    expect(least(nine)).toBeGreaterThan(2 * least(best))
    expect(least(nine)).toBeGreaterThan(0.05)
  })

  it('never come again once they were seen, and end when there is nothing left', () => {
    const first = nineOf(list)
    const seen = first.map(a => a.key)
    expect(nineOf(list, [], seen).some(a => seen.includes(a.key))).toBe(false)
    expect(
      nineOf(
        list,
        [],
        list.map(a => a.key),
      ),
    ).toEqual([])
  })

  it('are like what is pinned, which stays', () => {
    const pinned = of(list, 'colour').slice(0, 1)
    const like = nineOf(list, pinned)
    expect(like[0]).toBe(pinned[0])
    const far = (nine: readonly Alternative[]) =>
      nine.slice(1).reduce((sum, a) => sum + apart(a.features, pinned[0]!.features), 0) / (nine.length - 1)
    expect(far(like)).toBeLessThan(far([pinned[0]!, ...nineOf(list)]))
  })
})

it('how different two are is nothing of one with itself, the same both ways, and never over 1', () => {
  const all = alternativesTo(swirl, sources, 'new').map(a => a.features)
  for (const a of all)
    for (const b of all) {
      const d = apart(a, b)
      if (a === b) expect(d).toBe(0)
      expect(d).toBeCloseTo(apart(b, a), 9)
      expect(d).toBeLessThanOrEqual(1)
    }
})

it('an empty spot gets stencils that fit there, in colours that show', () => {
  let n = 0
  const list = alternativesAt(sources, () => `new-${n++}`)
  expect(list.length).toBeGreaterThan(5)
  for (const a of list) {
    const read = parseLook({ ...look, steps: withAlternative(look, null, a) })
    expect(read.ok).toBe(true)
  }
  expect(alternativesAt({ ...sources, kit: [] }, () => 'x')).toEqual([])
  expect(alternativesAt({ ...sources, fits: [] }, () => 'x')).toEqual([])
  expect(ground.face).not.toBeNull()
})
