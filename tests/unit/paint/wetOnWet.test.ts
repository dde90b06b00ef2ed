import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { met, MIXES, SLIPS, staysAfter, TAKES_UP, takesUpOf } from '#core/paint'

const film = fc.double({ min: 0.01, max: 5, noNaN: true })
const share = fc.double({ min: 0, max: 1, noNaN: true })

describe('paint laid on a film that is not dry', () => {
  it('loses nothing of either', () =>
    fc.assert(
      fc.property(film, film, share, (under, laid, m) => {
        const { left, mixed, share: own } = met(under, laid, m)
        expect(left + mixed).toBeCloseTo(under + laid, 9)
        expect(mixed * own).toBeCloseTo(laid, 9)
        expect(left).toBeGreaterThanOrEqual(0)
      }),
    ))

  it('on a dry one is plain stacking', () =>
    fc.assert(
      fc.property(film, film, (under, laid) => {
        expect(met(under, laid, MIXES.dry)).toEqual({ left: under, mixed: laid, share: 1 })
      }),
    ))

  it('of equal films that mix wholly comes out the same either way round', () =>
    fc.assert(
      fc.property(film, x => {
        const { left, mixed, share: own } = met(x, x, 1)
        expect([left, mixed, own]).toEqual([0, 2 * x, 0.5])
      }),
    ))

  it('mixes more the wetter it is, and never more than there is', () => {
    const own = (m: number) => met(1, 1, m).share
    expect(own(MIXES.wet)).toBeLessThan(own(MIXES.tacky))
    expect(own(MIXES.tacky)).toBeLessThan(1)
    expect(met(0.1, 3, 1).left).toBe(0)
    expect(met(3, 0.1, 1).share).toBe(0.5)
  })

  it('lifts a share of it with every dab, a sponge more than a brush', () => {
    expect(staysAfter('dry', 9, TAKES_UP.sponge)).toBe(1)
    expect(staysAfter('wet', 1, 1)).toBeCloseTo(0.94, 12)
    expect(staysAfter('tacky', 2, 1)).toBeCloseTo(0.98 ** 2, 12)
    expect(staysAfter('wet', 4, takesUpOf('openCell'))).toBeLessThan(
      staysAfter('wet', 4, takesUpOf('dauber')),
    )
    expect(staysAfter('wet', 4, takesUpOf('baseBrush'))).toBeGreaterThan(
      staysAfter('wet', 4, takesUpOf('dauber')),
    )
    expect(SLIPS.wet).toBeGreaterThan(SLIPS.tacky)
  })
})
