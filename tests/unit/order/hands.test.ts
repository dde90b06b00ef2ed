import { describe, expect, it } from 'vitest'
import { baseSeconds, dabSeconds, HANDS, loadsFor } from '#core/order'
import { TOOLS } from '#core/paint'
import { freshSheet, freshWash, kindOf } from '#core/look'
import { ground, MIDLINE, paint, world } from '../world'

describe('loads', () => {
  it('are the paint on the skin over 60 % of what the tool holds, rounded up', () => {
    // 40 cm2 at 0.35 mg/cm2 and 4 dabs are 56 mg; a makeup sponge gives 150 mg before it is dry.
    expect(loadsFor(4000, 0.35, 4, TOOLS.makeup)).toBe(1)
    // 200 cm2 at 0.9 mg/cm2 and 4 dabs are 720 mg; an open-cell sponge gives 540 mg.
    expect(loadsFor(20_000, 0.9, 4, TOOLS.openCell)).toBe(2)
  })

  it("follow the painter's own tools, as film, time and paint do", () => {
    const step = freshWash('a', 'Base', ['forehead'], [paint('gull')], ground)
    const kind = kindOf(step)
    const own = { ...world, tool: () => ({ ...TOOLS.openCell, release: 1.8, capacity: 90, tip: 20 }) }
    expect(kind.effort(step, own).loads).toBeGreaterThan(kind.effort(step, world).loads)
    expect(kind.effort(step, own).seconds).toBeGreaterThan(kind.effort(step, world).seconds)
    expect(kind.prints(step, own)[0]!.film / kind.prints(step, world)[0]!.film).toBeCloseTo(
      1.8 / TOOLS[step.tool].release,
      9,
    )
    expect(kind.lays(step, own)[0]!.mg / kind.lays(step, world)[0]!.mg).toBeCloseTo(
      1.8 / TOOLS[step.tool].release,
      9,
    )
  })

  it('are one at least, for a dot', () => {
    expect(loadsFor(1, 0.35, 1, TOOLS.makeup)).toBe(1)
    expect(loadsFor(0, 0.35, 1, TOOLS.makeup)).toBe(1)
  })
})

describe('dabbing', () => {
  it('takes one dab for each footprint of the tip and each layer', () => {
    const footprint = (Math.PI / 4) * TOOLS.dauber.tip ** 2
    expect(dabSeconds(footprint * 2.5, 2, TOOLS.dauber)).toBeCloseTo(3 * 2 * HANDS.dab, 12)
    expect(dabSeconds(1, 1, TOOLS.dauber)).toBeCloseTo(HANDS.dab, 12)
  })
})

describe('a base by sponge', () => {
  it('takes by hand as long for six places in three layers as painters say it does', () => {
    // Lids, brows, nose and muzzle: about a minute and a half (common practice).
    const step = {
      ...freshWash(
        'a',
        'Base',
        ['left.lid', 'right.lid', 'left.brow', 'right.brow', 'nose', 'muzzle'],
        [paint('gull')],
        ground,
      ),
      dabs: 3,
    }
    const { seconds } = kindOf(step).effort(step, world)
    expect(seconds).toBeGreaterThan(60)
    expect(seconds).toBeLessThan(110)
  })

  it('takes longer for two places than for one of their size, and for more layers', () => {
    const one = baseSeconds(2000, 1, 1, TOOLS.openCell)
    expect(baseSeconds(2000, 2, 1, TOOLS.openCell)).toBeGreaterThan(one)
    expect(baseSeconds(2000, 1, 3, TOOLS.openCell)).toBeGreaterThan(2 * one - 4)
    expect(baseSeconds(0, 0, 1, TOOLS.openCell)).toBeLessThan(1)
  })
})

describe('the effort of a step', () => {
  const single = freshSheet('a', 'a', 'heart-crest', [0, -30], paint('gull'))

  it('doubles with a twin, and adds the wiping of the stencil', () => {
    const one = kindOf(single).effort(single, world)
    const twins = { ...single, twin: MIDLINE }
    const two = kindOf(twins).effort(twins, world)
    expect(two.loads).toBe(2 * one.loads)
    expect(two.seconds).toBeCloseTo(2 * one.seconds + HANDS.wipe, 9)
  })

  it('grows with passes, dabs and glitter', () => {
    const base = kindOf(single).effort(single, world).seconds
    const passes = { ...single, passes: [single.passes[0]!, single.passes[0]!] }
    const dabs = { ...single, passes: [{ ...single.passes[0]!, dabs: 9 }] }
    const glitter = { ...single, passes: [{ ...single.passes[0]!, glitter: true }] }
    expect(kindOf(passes).effort(passes, world).seconds).toBeGreaterThan(base)
    expect(kindOf(dabs).effort(dabs, world).seconds).toBeGreaterThan(base)
    expect(kindOf(glitter).effort(glitter, world).seconds).toBeCloseTo(base + HANDS.glitter, 9)
  })

  it('is nothing for a stencil that is not in the drawer', () => {
    const lost = { ...single, stencil: 'nowhere' }
    expect(kindOf(lost).effort(lost, world)).toEqual({ seconds: 0, loads: 0, tasks: [] })
    expect(kindOf(lost).prints(lost, world)).toEqual([])
    expect(kindOf(lost).outlines(lost, world)).toEqual([])
    expect(kindOf(lost).lines(lost, world)[0]!.text).toMatch(/missing stencil/)
  })

  it('needs a reload for every colour of a base', () => {
    const one = freshWash('w', 'w', ['nose'], [paint('gull')], ground)
    const three = freshWash('w', 'w', ['nose'], [paint('gull'), paint('sky'), paint('harbour')], ground)
    const difference = kindOf(three).effort(three, world).seconds - kindOf(one).effort(one, world).seconds
    expect(difference).toBeCloseTo(2 * (HANDS.reload + HANDS.blend), 9)
  })
})
