import { describe, expect, it } from 'vitest'
import { freshLook } from '#core/look'
import { bareKey, BareSkinCache } from '#core/raster'
import { ground } from '../world'

const look = freshLook('l', 'L')

describe('a bare skin drawn in turns', () => {
  it('is the one that is drawn at once, and rests between its layers', () => {
    const turns = new BareSkinCache(1e8)
    let rests = 0
    for (const _ of turns.inTurns(look, ground, 1)) rests++
    expect(rests).toBeGreaterThan(6)
    expect(turns.has(bareKey(look, 1))).toBe(true)
    const inTurns = turns.of(look, ground, 1)
    const atOnce = new BareSkinCache(1e8).of(look, ground, 1)
    for (const layer of ['albedo', 'light', 'gloss', 'skin', 'hair', 'over'] as const)
      expect(Buffer.from(inTurns.head[layer].buffer).equals(Buffer.from(atOnce.head[layer].buffer))).toBe(
        true,
      )
    expect(inTurns.grain).toEqual(atOnce.grain)
    // One that is there is not drawn again.
    expect([...turns.inTurns(look, ground, 1)]).toEqual([])
  })

  it('that was given up half way is kept by nobody', () => {
    const cache = new BareSkinCache(1e8)
    const drawing = cache.inTurns(look, ground, 1)
    drawing.next()
    drawing.return(undefined)
    expect(cache.has(bareKey(look, 1))).toBe(false)
  })
})
