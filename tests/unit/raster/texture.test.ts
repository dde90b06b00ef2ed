import { describe, expect, it } from 'vitest'
import { boxOf, ringOf, signedArea } from '#core/geometry'
import { BY_BRUSH, freshSheet, kindOf, type Print, type SheetStep } from '#core/look'
import { dripsFrom } from '#core/look/kinds/drips'
import { WETNESSES, type Wetness } from '#core/paint'
import { grainAt, spongeAt, textureOf, thicknessAt } from '#core/raster/texture'
import { paint, world } from '../world'

const TEXTURES = ['sponge', 'dauber', 'soft brush', 'brush'] as const
const plain: Print = {
  rings: [],
  spread: null,
  paints: [],
  axis: null,
  strips: null,
  film: 1,
  opacity: 1,
  softness: 0,
  grain: 0.4,
  ...BY_BRUSH,
  meets: null,
}
/** Thicknesses all over a piece of skin of 60 mm, where the print covers wholly. */
function thicknesses(print: Print): number[] {
  const texture = textureOf(print)
  return Array.from({ length: 14_400 }, (_, n) => {
    const x = (n % 120) * 0.5
    const y = Math.floor(n / 120) * 0.5
    const g = print.texture === 'sponge' ? spongeAt(x, y) : grainAt(print.texture, x, y)
    return thicknessAt(texture, g, 1)
  })
}
const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length
const swing = (list: number[]) => Math.sqrt(mean(list.map(v => (v - mean(list)) ** 2)))

describe('the texture of a print', () => {
  it.each(TEXTURES)('of a %s leaves a film as thick as it should be on average', texture => {
    for (const wetness of WETNESSES)
      for (const charge of [1, 0.5, 0.1])
        expect(
          Math.abs(mean(thicknesses({ ...plain, texture, wetness, charge })) - 1),
          `${wetness}, ${charge}`,
        ).toBeLessThan(0.06)
  })

  it('breaks up when it is chalky, is even when it is wet, and grainier with the last of a load', () => {
    const of = (wetness: Wetness, charge = 1) => thicknesses({ ...plain, texture: 'sponge', wetness, charge })
    const uneven = WETNESSES.map(w => swing(of(w)))
    expect(uneven).toEqual([...uneven].sort((a, b) => b - a))
    expect(swing(of('tacky', 0.2))).toBeGreaterThan(2 * swing(of('tacky')))
    // The last of a chalky load leaves pores bare.
    expect(of('chalky', 0.3).filter(v => v === 0).length).toBeGreaterThan(200)
    expect(of('tacky').every(v => v > 0.5)).toBe(true)
  })

  it('is each tool’s own', () => {
    const fields = TEXTURES.map(texture => thicknesses({ ...plain, texture }))
    for (let a = 0; a < 4; a++)
      for (let b = 0; b < a; b++) {
        const [p, q] = [fields[a]!, fields[b]!]
        const together = mean(p.map((v, i) => (v - 1) * (q[i]! - 1))) / (swing(p) * swing(q))
        expect(Math.abs(together), `${TEXTURES[a]} and ${TEXTURES[b]}`).toBeLessThan(0.3)
      }
  })

  it('of wet paint stands up along its edge', () => {
    const at = (wetness: Wetness) => {
      const texture = textureOf({ ...plain, grain: 0, wetness })
      return [1, 0.75].map(cover => thicknessAt(texture, 0.5, cover))
    }
    expect(at('runny')[1]).toBeGreaterThan(1.5 * at('runny')[0]!)
    expect(at('tacky')[1]).toBeLessThan(at('tacky')[0]!)
  })
})

describe('drips', () => {
  const box = (x: number, w: number) =>
    ringOf([
      [x, 0],
      [x + w, 0],
      [x + w, w],
      [x, w],
    ])
  const many = Array.from({ length: 60 }, (_, i) => box(i * 12, 8))

  it('hang from the lowest point of some larger shapes, the same ones every time', () => {
    const drips = dripsFrom(many, 'one')
    expect(drips.length).toBeGreaterThan(3)
    expect(drips.length).toBeLessThanOrEqual(14)
    expect(dripsFrom(many, 'one')).toEqual(drips)
    expect(dripsFrom(many, 'two')).not.toEqual(drips)
    for (const d of drips) {
      const { minY, maxY } = boxOf(d)
      expect(minY).toBeGreaterThan(6)
      expect(maxY).toBeGreaterThan(10.5)
      expect(signedArea(d) > 0).toBe(signedArea(many[0]!) > 0)
    }
    expect(dripsFrom([box(0, 3)], 'one')).toEqual([])
  })

  it('never hang from a hole, where they would take paint out', () => {
    const holes = many.map((_, i) => {
      const x = i * 12
      return ringOf([
        [x, 0],
        [x, 5],
        [x + 5, 5],
        [x + 5, 0],
      ])
    })
    const outer = ringOf([
      [-2, -2],
      [800, -2],
      [800, 9],
      [-2, 9],
    ])
    for (const d of dripsFrom([outer, ...holes], 'one')) expect(boxOf(d).maxY).toBeGreaterThan(9)
  })

  it('run from runny paint alone, and never in a flat drawing', () => {
    const step = (wetness: Wetness): SheetStep => {
      const s = freshSheet('s', 's', 'heart-crest', [0, -40], paint('gull'))
      return { ...s, passes: [{ ...s.passes[0]!, wetness, tool: 'makeup' }] }
    }
    const rings = (s: SheetStep, flat = false) => kindOf(s).prints(s, { ...world, flat })[0]!.rings.length
    expect(rings(step('runny'))).toBeGreaterThan(rings(step('damp')))
    expect(rings(step('runny'), true)).toBe(rings(step('damp'), true))
  })
})
