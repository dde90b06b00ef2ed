import { describe, expect, it } from 'vitest'
import { fittedTip, type Tip } from '../../../core/photo'
import { seeded } from '../../photographs'

const SIGMA = 1.5
const SIZE = 40

/** A wedge in a grid of pixels, eight by eight rays each, blurred by a Gaussian. */
function blurredWedge(tip: Tip, noise = 0): (x: number, y: number) => number {
  const middle = tip.radius / Math.sin(tip.half)
  const holds = (x: number, y: number): number => {
    const [dx, dy] = [x - tip.at[0], y - tip.at[1]]
    const s = dx * Math.cos(tip.way) + dy * Math.sin(tip.way)
    const v = dy * Math.cos(tip.way) - dx * Math.sin(tip.way)
    if (Math.abs(v) > s * Math.tan(tip.half)) return 0
    return s >= middle - tip.radius * Math.sin(tip.half) || Math.hypot(s - middle, v) <= tip.radius ? 1 : 0
  }
  const sharp = Array.from({ length: SIZE * SIZE }, (_, k) => {
    let sum = 0
    for (let r = 0; r < 64; r++)
      sum += holds((k % SIZE) + ((r % 8) + 0.5) / 8, Math.floor(k / SIZE) + (Math.floor(r / 8) + 0.5) / 8)
    return sum / 64
  })
  const random = seeded(5)
  const grain = sharp.map(() => noise * (random() + random() + random() + random() - 2) * 1.73)
  const pixel = (i: number, j: number): number => {
    let sum = 0
    let all = 0
    for (let v = Math.max(0, j - 6); v <= Math.min(SIZE - 1, j + 6); v++)
      for (let u = Math.max(0, i - 6); u <= Math.min(SIZE - 1, i + 6); u++) {
        const w = Math.exp(-((u - i) ** 2 + (v - j) ** 2) / (2 * SIGMA * SIGMA))
        sum += w * sharp[v * SIZE + u]!
        all += w
      }
    return sum / all + grain[j * SIZE + i]!
  }
  return (x, y) => {
    const [u, v] = [x - 0.5, y - 0.5]
    const [i, j] = [Math.floor(u), Math.floor(v)]
    const across = (row: number) => pixel(i, row) * (1 - (u - i)) + pixel(i + 1, row) * (u - i)
    return across(j) * (1 - (v - j)) + across(j + 1) * (v - j)
  }
}

/** A tip as its blurred contour would have it guessed: taken back, a little turned, its sides too steep. */
const guessOf = (tip: Tip): Tip => ({
  at: [tip.at[0] + 1.4 * Math.cos(tip.way), tip.at[1] + 1.4 * Math.sin(tip.way) + 0.4],
  way: tip.way + 0.08,
  half: tip.half + 0.1,
  radius: 0.75,
})

describe('tips of openings in a blurred picture', () => {
  const cases: [string, number, number][] = [
    ['a sharp one of 36 degrees', 0.314, 0],
    ['a sharp one of 60 degrees', 0.524, 0],
    ['one of 36 degrees that is rounded by a pixel and a half', 0.314, 1.5],
    ['one of 60 degrees that is rounded by two and a half', 0.524, 2.5],
  ]
  it.each(cases)('%s is found where it is', (_, half, radius) => {
    const tip: Tip = { at: [14.3, 17.8], way: 0.6, half, radius }
    const found = fittedTip(blurredWedge(tip, 0.008), guessOf(tip), SIGMA)!
    // What counts is where the outline ends: the two sides' meeting less what the rounding takes.
    const end = ({ at, way, half: h, radius: r }: Tip) => {
      const back = r / Math.sin(h) - r
      return [at[0] + back * Math.cos(way), at[1] + back * Math.sin(way)]
    }
    expect(Math.hypot(end(found)[0]! - end(tip)[0]!, end(found)[1]! - end(tip)[1]!)).toBeLessThan(0.45)
    // A round tip that is seen blurred tells its end better than its radius and its angle apart.
    expect(Math.abs(found.radius - radius)).toBeLessThan(0.8)
    expect(Math.abs(found.half - half)).toBeLessThan(radius ? 0.12 : 0.06)
  })

  it('takes the end of a strip for no wedge', () => {
    const strip = (x: number, y: number) => (Math.abs(y - 20) < 4 && x > 15 ? 1 : 0)
    expect(fittedTip(strip, { at: [8, 20], way: 0, half: 0.3, radius: 0.7 }, SIGMA)).toBeNull()
  })
})
