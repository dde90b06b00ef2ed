import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  bandOf,
  chromaOf,
  contrastRatio,
  deltaE,
  filmOver,
  hidingWords,
  HIDES,
  labDifference,
  labOf,
  linearOf,
  luminance,
  masstone,
  mudOf,
  opticsFrom,
  opticsOf,
  reflectance,
  SIX_SKINS,
  skinClass,
  typologyAngle,
  wetBlend,
  wetMix,
  WHITE_CARD,
  type LinearRgb,
} from '#core/paint'

describe('CIEDE2000 of the 34 pairs of Sharma, Wu and Dalal 2005 (Color Res Appl 30:21; values from memory)', () => {
  const PAIRS = `50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.02 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1
50 -1.1848 -84.8006 50 0 -82.7485 1
50 -0.9009 -85.5211 50 0 -82.7485 1
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.49 -0.001 50 -2.49 0.0009 7.1792
50 2.49 -0.001 50 -2.49 0.001 7.1792
50 2.49 -0.001 50 -2.49 0.0011 7.2195
50 2.49 -0.001 50 -2.49 0.0012 7.2195
50 -0.001 2.49 50 0.0009 -2.49 4.8045
50 -0.001 2.49 50 0.001 -2.49 4.8045
50 -0.001 2.49 50 0.0011 -2.49 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.903
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1
50 2.5 0 50 3.2972 0 1
50 2.5 0 50 1.8634 0.5757 1
50 2.5 0 50 3.2592 0.335 1
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.263
61.2901 3.7196 -5.3901 61.4292 2.248 -4.962 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.694 23.0331 14.973 -42.5619 2.0373
36.4612 47.858 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.441 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.135 0.9033 -0.0636 -0.5514 0.9082`
    .split('\n')
    .map(l => l.split(' ').map(Number) as [number, number, number, number, number, number, number])

  it('has all of them', () => expect(PAIRS).toHaveLength(34))
  it.each(PAIRS)('%d %d %d against %d %d %d is %d', (l, a, b, m, c, d, difference) => {
    expect(labDifference({ l, a, b }, { l: m, a: c, b: d })).toBeCloseTo(difference, 4)
    expect(labDifference({ l: m, a: c, b: d }, { l, a, b })).toBeCloseTo(difference, 4)
  })
})

describe('films by the two-flux formulas (Kubelka 1948, J Opt Soc Am 38:448)', () => {
  const k = fc.double({ min: 0.001, max: 8, noNaN: true })
  const s = fc.double({ min: 0.05, max: 8, noNaN: true })
  const x = fc.double({ min: 0.01, max: 3, noNaN: true })
  const g = fc.double({ min: 0, max: 1, noNaN: true })
  /** The formula as it is printed, with the hyperbolic cotangent. */
  const printed = (kk: number, ss: number, xx: number, ground: number) => {
    const a = 1 + kk / ss
    const b = Math.sqrt(a * a - 1)
    const coth = 1 / Math.tanh(b * ss * xx)
    return (1 - ground * (a - b * coth)) / (a - ground + b * coth)
  }

  it('are the printed formula', () =>
    fc.assert(
      fc.property(k, s, x, g, (kk, ss, xx, ground) => {
        expect(reflectance(kk, ss, xx, ground)).toBeCloseTo(printed(kk, ss, xx, ground), 9)
      }),
    ))

  it('of no thickness leave the ground, and of great thickness show a - b', () =>
    fc.assert(
      fc.property(k, s, g, (kk, ss, ground) => {
        const a = 1 + kk / ss
        expect(reflectance(kk, ss, 0, ground)).toBeCloseTo(ground, 12)
        expect(reflectance(kk, ss, 1e4, ground)).toBeCloseTo(a - Math.sqrt(a * a - 1), 6)
        expect(masstone({ k: [kk, kk, kk], s: [ss, ss, ss] })[0]).toBeCloseTo(a - Math.sqrt(a * a - 1), 9)
      }),
    ))

  it('one after the other are one film of the summed thickness', () =>
    fc.assert(
      fc.property(k, s, x, x, g, (kk, ss, x1, x2, ground) => {
        expect(reflectance(kk, ss, x2, reflectance(kk, ss, x1, ground))).toBeCloseTo(
          reflectance(kk, ss, x1 + x2, ground),
          9,
        )
      }),
    ))

  it('that only absorb follow Bouguer, and that only scatter 1 / (1 + 1 / S X)', () => {
    expect(reflectance(0.7, 0, 0.9, 0.8)).toBeCloseTo(0.8 * Math.exp(-2 * 0.7 * 0.9), 12)
    expect(reflectance(0, 2, 1.5, 0)).toBeCloseTo(3 / 4, 12)
  })

  it('give absorption and scattering back from over black and over white to 1e-9', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 4, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (kk, ss) => {
          const black = reflectance(kk, ss, 1, 0)
          const white = reflectance(kk, ss, 1, WHITE_CARD)
          // A film that hides wholly tells nothing of its thickness any more, one of the card's own colour
          // nothing of its absorption.
          if (white - black < 1e-4) return
          const found = bandOf(black, white)
          expect(Math.abs(found.k - kk) / kk).toBeLessThan(1e-7)
          expect(Math.abs(reflectance(found.k, found.s, 1, 0.5) - reflectance(kk, ss, 1, 0.5))).toBeLessThan(
            1e-9,
          )
        },
      ),
      { numRuns: 400 },
    ))

  it('refuse a swatch that no film gives', () => {
    expect(() => bandOf(0.6, 0.4)).toThrow(RangeError)
    expect(() => bandOf(0.2, 0.95, 0.86)).toThrow(RangeError)
  })
})

describe('hiding power as a contrast ratio (ISO 6504-3, ASTM D2805)', () => {
  it('is Y over black against Y over white', () => {
    const optics = opticsFrom(linearOf('#B3202C'), 0.9)
    const y = (ground: number) => luminance(filmOver(optics, 1, [ground, ground, ground]))
    expect(contrastRatio(optics)).toBeCloseTo(y(0) / y(WHITE_CARD), 12)
    expect(contrastRatio(optics)).toBeCloseTo(0.9, 4)
  })

  it('of a swatch is that of the two colours that were read, whites too', () => {
    const read = (black: string, white: string) => contrastRatio(opticsOf(linearOf(black), linearOf(white)))
    const y = (hex: string) => luminance(linearOf(hex))
    expect(read('#e6e6e6', '#fafafa')).toBeCloseTo(0.83, 2)
    for (const [black, white] of [
      ['#e6e6e6', '#fafafa'],
      ['#f2f0ea', '#f7f5f0'],
      ['#8a1f28', '#d6403f'],
      ['#1d2a4a', '#3d63b4'],
    ] as const) {
      expect(read(black, white)).toBeCloseTo(y(black) / y(white), 6)
      const optics = opticsOf(linearOf(black), linearOf(white))
      expect(deltaE(filmOver(optics, 1, [0, 0, 0]), linearOf(black))).toBeLessThan(0.5)
      expect(deltaE(filmOver(optics, 1, [1, 1, 1]), linearOf(white))).toBeLessThan(0.5)
    }
  })

  it('counts as hiding from 0.98 on, and grows with every film', () => {
    expect([0.995, HIDES, 0.95, 0.85, 0.5].map(hidingWords)).toEqual([
      'hides',
      'hides',
      'hides nearly',
      'covers partly',
      'sheer',
    ])
    const optics = opticsFrom(linearOf('#F2C230'), 0.8)
    const ratios = [0.25, 0.5, 1, 2, 4].map(f => contrastRatio(optics, f))
    expect(ratios).toEqual([...ratios].sort((a, b) => a - b))
    expect(ratios.at(-1)).toBeGreaterThan(HIDES)
  })
})

describe('blue and yellow', () => {
  const blue = opticsFrom(linearOf('#1F4E9A'), 0.9)
  const yellow = opticsFrom(linearOf('#F2C230'), 0.85)
  const hue = (c: LinearRgb) => ((Math.atan2(labOf(c).b, labOf(c).a) * 180) / Math.PI + 360) % 360

  it('stirred together wet make green', () => {
    const green = wetMix(linearOf('#1F4E9A'), linearOf('#F2C230'), 0.5)
    expect(hue(green)).toBeGreaterThan(110)
    expect(hue(green)).toBeLessThan(180)
    expect(hue(masstone(wetBlend(blue, yellow, 0.5)))).toBeCloseTo(hue(green), 0)
  })

  it('laid over one another keep the upper colour, and the more of it the thicker it lies', () => {
    const ground = masstone(yellow)
    const thin = filmOver(blue, 0.2, ground)
    const thick = filmOver(blue, 2, ground)
    expect(deltaE(thick, masstone(blue))).toBeLessThan(deltaE(thin, masstone(blue)))
    expect(deltaE(thick, masstone(blue))).toBeLessThan(3)
    // Not the same as the other way round: films stack strictly in order.
    expect(deltaE(filmOver(yellow, 1, masstone(blue)), filmOver(blue, 1, masstone(yellow)))).toBeGreaterThan(
      30,
    )
  })

  it('opposite colours turn to mud, neighbours do not', () => {
    const mud = (a: string, b: string) => mudOf(linearOf(a), linearOf(b)).muddy
    expect(mud('#B3202C', '#1E8A4C')).toBe(true)
    expect(mud('#F2C230', '#E2611C')).toBe(false)
    expect(mud('#F4F1EA', '#17151A')).toBe(false)
    // Clean greens, oranges and violets are no mud at any share; opposite colours are.
    const clean = [
      ['#1F4E9A', '#F2C230'],
      ['#1E8A8C', '#F2C230'],
      ['#1F4E9A', '#6FA046'],
      ['#B3202C', '#F2C230'],
      ['#8A2A5E', '#5B2C83'],
      ['#E58AB0', '#8FC4E8'],
    ] as const
    for (const [a, b] of clean) expect(mud(a, b), `${a} and ${b}`).toBe(false)
    const opposite = [
      ['#5B2C83', '#F2C230'],
      ['#1F4E9A', '#E2611C'],
      ['#8A2A5E', '#2F6B3F'],
      ['#E8705A', '#1F4E9A'],
    ] as const
    for (const [a, b] of opposite) expect(mud(a, b), `${a} and ${b}`).toBe(true)
    expect(chromaOf(linearOf('#808080'))).toBeLessThan(0.5)
  })
})

describe('skin by typology angle (Chardon, Cretois and Hourseau 1991)', () => {
  it('has its classes at 55, 41, 28, 10 and -30 degrees', () => {
    const at = (angle: number) =>
      skinClass({
        l: 50 + 20 * Math.sin((angle * Math.PI) / 180),
        a: 10,
        b: 20 * Math.cos((angle * Math.PI) / 180),
      })
    expect([60, 55.1, 54.9, 41.1, 40.9, 28.1, 27.9, 10.1, 9.9, -29.9, -30.1].map(at)).toEqual([
      'very light',
      'very light',
      'light',
      'light',
      'intermediate',
      'intermediate',
      'tan',
      'tan',
      'brown',
      'brown',
      'dark',
    ])
    expect(typologyAngle({ l: 70, a: 8, b: 20 })).toBeCloseTo(45, 9)
  })

  it('gives one colour of each class to try a look on', () => {
    for (const { words, colour } of SIX_SKINS) expect(skinClass(labOf(linearOf(colour)))).toBe(words)
  })
})

it('a swatch off what a film can do is brought to the nearest that it can', () => {
  const optics = opticsOf([0.9, 0.9, 0.9], [0.95, 0.1, 0.5])
  for (const b of [0, 1, 2] as const) {
    expect(Number.isFinite(optics.k[b]) && optics.k[b] >= 0).toBe(true)
    expect(Number.isFinite(optics.s[b]) && optics.s[b] > 0).toBe(true)
  }
})
