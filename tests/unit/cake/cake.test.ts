import { describe, expect, it } from 'vitest'
import {
  bestOrder,
  hueOrder,
  cakeGrams,
  costOfCuts,
  cutsOf,
  joinOf,
  joinsOf,
  madeOf,
  sampleLook,
  strokesOf,
  takenUp,
  triedCakesSchema,
  widthOf,
} from '../../../core/cake'
import { parseLook } from '../../../core/look'
import { linearOf, type Paint, type Strip } from '../../../core/paint'
import { cakeToMake, triedCakes } from '../../../demo/cakes'
import { paints } from '../../../demo/paints'

const strip = (id: string, width = 6): Strip => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { name, colour, width, paint: id }
}
const colour = (id: string) => linearOf(paints.find(p => p.id === id)!.colour)
const TRIAL = { brush: 'flat19', from: 0, soft: false, skin: '#d3a27c' } as const

describe('where strips meet', () => {
  it('tells mud from a blend that keeps its colour, and what is hardly told apart', () => {
    expect(joinOf(colour('beacon'), colour('dusk'))).toMatchObject({ verdict: 'mud' })
    expect(joinOf(colour('beacon'), colour('harbour'))).toMatchObject({ verdict: 'blends' })
    expect(joinOf(colour('beacon'), colour('harbour')).words).toMatch(/green/)
    expect(joinOf(colour('gull'), linearOf('#f2efe8')).words).toBe('hardly to be told apart')
  })

  it('shows a way that begins and ends with the two colours', () => {
    const join = joinOf(colour('beacon'), colour('dusk'))
    expect(join.words).toBe('turns to mud')
    expect(join.way[0]!.toLowerCase()).toBe(paints.find(p => p.id === 'beacon')!.colour.toLowerCase())
    expect(join.way.at(-1)!.toLowerCase()).toBe(paints.find(p => p.id === 'dusk')!.colour.toLowerCase())
  })

  it('has one join fewer than strips', () => {
    expect(joinsOf([])).toEqual([])
    expect(joinsOf([colour('gull')])).toEqual([])
    expect(joinsOf(['gull', 'beacon', 'ember'].map(colour))).toHaveLength(2)
  })
})

/** Every order of some numbers. */
function* orders(list: number[]): Generator<number[]> {
  if (list.length < 2) return void (yield list)
  for (const first of list) for (const rest of orders(list.filter(n => n !== first))) yield [first, ...rest]
}

describe('the order that blends best', () => {
  const muds = (order: readonly number[], ids: readonly string[]) =>
    joinsOf(order.map(n => colour(ids[n]!))).filter(j => j.verdict === 'mud').length

  it('has no more mud than any other order of the strips', () => {
    const sets = [
      ['beacon', 'dusk', 'ivory', 'lagoon', 'midnight'],
      ['kelp', 'rosehip', 'beacon', 'harbour', 'gull', 'ember'],
      ['dusk', 'beacon', 'kelp', 'rosehip'],
    ]
    for (const ids of sets) {
      const best = bestOrder(ids.map(colour))
      expect([...best].sort()).toEqual(ids.map((_, i) => i))
      const least = Math.min(...[...orders(ids.map((_, i) => i))].map(o => muds(o, ids)))
      expect(muds(best, ids)).toBe(least)
    }
  })

  it('goes from light to dark along a ladder of one hue, however it is shuffled', () => {
    const ladder = ['#0b1740', '#d6e6ff', '#5f86d8', '#2a4aa8', '#9dbcf5'].map(linearOf)
    expect(bestOrder(ladder)).toEqual([1, 4, 2, 3, 0])
  })

  it('keeps a rainbow as it is, hue after hue, greys first, whatever it is handed', () => {
    const rainbow = ['gull', 'rosehip', 'ember', 'beacon', 'fern', 'lagoon', 'harbour', 'dusk']
    const order = (list: readonly string[]) => hueOrder(list.map(colour)).map(n => list[n]!)
    expect(order(rainbow)).toEqual(rainbow)
    expect(order([...rainbow].reverse())).toEqual(rainbow)
    expect(order([])).toEqual([])
  })

  it('leaves one strip alone and refuses more than twelve', () => {
    expect(bestOrder([])).toEqual([])
    expect(bestOrder([colour('gull')])).toEqual([0])
    expect(() => bestOrder(Array(13).fill(colour('gull')))).toThrow(RangeError)
  })
})

describe('what to cut', () => {
  const size = { length: 40, depth: 5 }

  it('takes volume by density, with what crumbles away, and strips of one paint together', () => {
    const cuts = cutsOf([strip('gull', 6), strip('soot', 8), strip('gull', 4)], size, paints)
    expect(cuts.map(c => [c.name, c.width])).toEqual([
      ['Gull White', 10],
      ['Soot Black', 8],
    ])
    // 10 x 40 x 5 mm = 2 cm3 of 1.5 g/cm3, and a tenth.
    expect(cuts[0]!.grams).toBeCloseTo(3.3, 6)
    expect(cuts[0]!.leaves).toBeCloseTo(41 - 3.3, 6)
    expect(costOfCuts(cuts)).toBeCloseTo((14 * 3.3) / 50 + (14 * 2.6) / 50, 6)
    expect(cakeGrams([strip('gull', 6), strip('soot', 8), strip('gull', 4)], size)).toBe(5.4)
  })

  it('says what is short, and nothing where nobody knows', () => {
    const kit = paints.map((p): Paint => ({ ...p, grams: p.id === 'gull' ? 1 : null, price: null }))
    const cuts = cutsOf([strip('gull', 10), strip('soot', 8)], size, kit)
    expect(cuts[0]!.leaves).toBeCloseTo(1 - 3.3, 6)
    expect(cuts[1]!.leaves).toBeNull()
    expect(costOfCuts(cuts)).toBeNull()
    const foreign = cutsOf([{ name: '', colour: '#123456', width: 5 }], size, kit)
    expect(foreign[0]).toMatchObject({ paint: null, name: '#123456', leaves: null, cost: null })
  })

  it('gives as many strokes as its depth holds', () => {
    // 40 x 5 mm = 2 cm2 across, of 1.5 g/cm3; a stroke of 6 cm at 3 mg/cm2 takes 18 mg a cm of width.
    expect(strokesOf(size, 3)).toBe(Math.floor(300 / 1.8))
  })

  it('once made takes what was cut from its cakes and is opened on that day', () => {
    const kit = [...paints, cakeToMake]
    const changed = madeOf(cakeToMake, kit, '2026-11-27')
    expect(changed.map(p => p.id)).toEqual(['foam', 'lagoon', 'harbour', 'midnight', 'rockpool'])
    expect(changed[1]!.grams).toBeCloseTo(22 - 2.6, 6)
    expect(changed.at(-1)).toMatchObject({ openedOn: '2026-11-27', grams: 7.5, cakeGrams: 7.5 })
    expect(changed.at(-1)).not.toHaveProperty('toMake')
    expect(madeOf(changed.at(-1)!, kit, '2026-11-27')).toEqual([])
  })

  it('never leaves less than nothing in a cake', () => {
    const kit = [...paints.map(p => ({ ...p, grams: 1 })), cakeToMake]
    for (const p of madeOf(cakeToMake, kit, '2026-11-27')) expect(p.grams).toBeGreaterThanOrEqual(0)
  })
})

describe('a sample', () => {
  const strips = ['ivory', 'beacon', 'ember', 'rosehip'].map(id => strip(id, 8))

  it('takes up only the part of a wide cake on which the brush is set', () => {
    expect(takenUp(strips, 40, 3)).toEqual(strips)
    const part = takenUp(strips, 19, 5)
    expect(part.map(s => [s.name, s.width])).toEqual([
      ['Candle Ivory', 3],
      ['Beacon Yellow', 8],
      ['Ember Orange', 8],
    ])
    // Set too far in it lies at the far edge.
    expect(widthOf(takenUp(strips, 13, 99))).toBeCloseTo(13, 9)
    expect(takenUp(strips, 13, 99).at(-1)!.name).toBe('Rosehip Red')
  })

  it('is a look like any other, for one strip and for many', () => {
    for (const list of [strips, strips.slice(0, 1), triedCakes[0]!.strips]) {
      const parsed = parseLook(sampleLook(list, { ...TRIAL, soft: true }))
      expect(parsed.ok, JSON.stringify(parsed)).toBe(true)
    }
    expect(() => sampleLook([], TRIAL)).toThrow(RangeError)
  })

  it('strokes as wide as the brush, or as the cake where that is narrower', () => {
    const press = (list: readonly Strip[]) => {
      const [line] = sampleLook(list, TRIAL).steps
      return line!.kind === 'line' ? line!.params.press! : NaN
    }
    expect(press(strips)).toBeCloseTo(100, 6)
    expect(press([strip('ivory', 5), strip('ember', 5)])).toBeLessThan(60)
  })

  it('of the demo is kept as the house keeps it', () => {
    expect(triedCakesSchema.safeParse(triedCakes).success).toBe(true)
    expect(triedCakesSchema.safeParse([{ ...triedCakes[0], strips: [strip('gull', 0.1)] }]).success).toBe(
      false,
    )
  })
})
