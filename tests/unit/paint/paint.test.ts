import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  filmOf,
  hexOf,
  linearOf,
  mixLinear,
  OPAQUE_FILM,
  opacityOf,
  srgbByte,
  TOOL_IDS,
  TOOLS,
  WETNESSES,
} from '#core/paint'

describe('colours', () => {
  it('come back from linear light as the same hex', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), n => {
        const hex = `#${n.toString(16).padStart(6, '0')}`
        expect(hexOf(linearOf(hex))).toBe(hex)
      }),
    )
  })

  it('are refused with a sentence when they are none', () => {
    expect(() => linearOf('plum-ish')).toThrow('"plum-ish" is not a colour; write it as #RRGGBB.')
    expect(() => linearOf('')).toThrow(RangeError)
  })

  it('mix half way between two', () => {
    expect(mixLinear([0, 0.2, 1], [1, 0.4, 0], 0.5)).toEqual([0.5, 0.30000000000000004, 0.5])
    expect(mixLinear([0, 0, 0], [1, 1, 1], 0)).toEqual([0, 0, 0])
  })

  it('are clipped to the screen', () => {
    expect(srgbByte(-3)).toBe(0)
    expect(srgbByte(7)).toBe(255)
  })
})

describe('films', () => {
  it('cover more with every dab, and never wholly', () => {
    for (const tool of TOOL_IDS) {
      let before = 0
      for (let dabs = 1; dabs <= 12; dabs++) {
        const opacity = opacityOf(filmOf(TOOLS[tool], 'damp', dabs))
        expect(opacity).toBeGreaterThan(before)
        expect(opacity).toBeLessThan(1)
        before = opacity
      }
    }
  })

  it('are thicker the wetter the tool is', () => {
    for (const tool of TOOL_IDS) {
      const films = WETNESSES.map(w => filmOf(TOOLS[tool], w, 3))
      expect(films).toEqual([...films].sort((a, b) => a - b))
      expect(new Set(films).size).toBe(4)
    }
  })

  it('let 2 % through when they are opaque, and everything when there is none', () => {
    expect(opacityOf(OPAQUE_FILM)).toBeCloseTo(0.98, 12)
    expect(opacityOf(0)).toBe(0)
  })

  it('laid one over the other cover as one of their summed thickness does', () => {
    const [a, b] = [0.7, 1.1]
    const through = (film: number) => 1 - opacityOf(film)
    expect(through(a) * through(b)).toBeCloseTo(through(a + b), 12)
  })

  it('come from tools with sizes that make sense', () => {
    for (const tool of Object.values(TOOLS)) {
      expect(tool.tip).toBeGreaterThan(5)
      expect(tool.capacity).toBeGreaterThan(tool.release * 100)
      expect(tool.name).toMatch(/sponge|dauber|brush/)
    }
  })
})
