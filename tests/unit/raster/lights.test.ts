import { describe, expect, it } from 'vitest'
import { freshLook, groundFor } from '#core/look'
import { deltaE, LIGHT_IDS, LIGHTS, type LightId, type LinearRgb } from '#core/paint'
import { BareSkinCache, finishedPicture, underLight } from '#core/raster'

const look = freshLook('l', 'L')
const ground = groundFor(look)
const bares = new BareSkinCache(1e9)
const headIn = (light?: LightId) => bares.of(look, ground, 1, { light }).head
/** Mean of a band over the skin: 0 red, 1 green, 2 blue; at some place, mm, or everywhere. */
function seen(light: LightId, band: number, within: (x: number, y: number) => boolean = () => true): number {
  const head = headIn(light)
  const { grid, skin } = head
  const rgba = finishedPicture(head)
  let sum = 0
  let n = 0
  for (let p = 0; p < skin.length; p++) {
    const x = grid.x0 + (p % grid.width) / grid.pxPerMm
    const y = grid.y0 + Math.floor(p / grid.width) / grid.pxPerMm
    if (skin[p]! < 0.99 || head.over[4 * p + 3]! > 0 || !within(x, y)) continue
    sum += rgba[4 * p + band]!
    n++
  }
  return sum / n
}

describe('light on a head', () => {
  it("is the stall's lamp unless another is asked for", () => {
    expect(headIn()).toBe(headIn('lamp'))
    expect(headIn('noon')).not.toBe(headIn('lamp'))
    expect(finishedPicture(headIn('lamp'))).not.toEqual(finishedPicture(headIn('noon')))
  })

  it.each(LIGHT_IDS)('%s shows a head neither dark nor burnt out', light => {
    const mean = seen(light, 0)
    expect(mean).toBeGreaterThan(110)
    expect(mean).toBeLessThan(235)
  })

  it('comes from where it comes from: lamp from the left, noon from above, lanterns from the right', () => {
    const left = (x: number) => x < -25
    const right = (x: number) => x > 25
    expect(seen('lamp', 1, left)).toBeGreaterThan(1.08 * seen('lamp', 1, right))
    expect(seen('lanterns', 1, right)).toBeGreaterThan(1.05 * seen('lanterns', 1, left))
    const brow = (_: number, y: number) => y > -50 && y < -30
    const chin = (_: number, y: number) => y > 96
    expect(seen('noon', 1, brow) / seen('noon', 1, chin)).toBeGreaterThan(
      seen('shade', 1, brow) / seen('shade', 1, chin),
    )
  })

  it('has its colour: lanterns warm, shade cool', () => {
    const warm = (light: LightId) => seen(light, 0) / seen(light, 2)
    expect(warm('lanterns')).toBeGreaterThan(1.2 * warm('lamp'))
    expect(warm('shade')).toBeLessThan(0.97 * warm('lamp'))
  })

  it('decides how colours are told apart: yellow on white hardly shows under lanterns', () => {
    const pair: [LinearRgb, LinearRgb] = [
      [0.85, 0.75, 0.1],
      [0.85, 0.85, 0.82],
    ]
    const under = (id: LightId) => {
      const [[over, below]] = underLight([pair], LIGHTS[id].tint) as [[LinearRgb, LinearRgb]]
      return deltaE(over, below)
    }
    expect(under('lanterns')).toBeLessThan(0.65 * under('lamp'))
    expect(under('shade')).toBeGreaterThan(under('lamp'))
    expect(underLight([pair], undefined)).toEqual([pair])
  })
})
