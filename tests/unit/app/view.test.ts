import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { groundOf, PLAIN_FACE } from '#core/skin'
import { toScreen, toSkin, wholePicture, zoomed } from '../../../app/components/bench/stage/view'

describe("the stage's view", () => {
  const ground = groundOf(PLAIN_FACE, 30)
  const base = wholePicture(700, 624, 18, ground.box)

  it('shows the whole head beside the rulers', () => {
    const [left, top] = toScreen(base, [ground.box.minX, ground.box.minY])
    const [right, bottom] = toScreen(base, [ground.box.maxX, ground.box.maxY])
    expect(left).toBeGreaterThanOrEqual(18)
    expect(top).toBeGreaterThanOrEqual(18 - 1e-9)
    expect(right).toBeLessThanOrEqual(700)
    expect(bottom).toBeLessThanOrEqual(624 + 1e-9)
  })

  it('leads to the stage and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -150, max: 150, noNaN: true }),
        fc.double({ min: -150, max: 150, noNaN: true }),
        (x, y) => {
          const [u, v] = toSkin(base, toScreen(base, [x, y]))!
          expect(u).toBeCloseTo(x, 8)
          expect(v).toBeCloseTo(y, 8)
        },
      ),
    )
  })

  it('zooms about the pointer, which stays on its place of the skin', () => {
    const pointer = [420, 210] as const
    const before = toSkin(base, pointer)!
    const near = zoomed(base, base, 2.2, pointer)
    const after = toSkin(near, pointer)!
    expect(near.k).toBeCloseTo(base.k * 2.2, 9)
    expect(after[0]).toBeCloseTo(before[0], 9)
    expect(after[1]).toBeCloseTo(before[1], 9)
  })

  it('stays between the whole head and six times that', () => {
    expect(zoomed(base, base, 0.1, [300, 300])).toEqual(base)
    expect(zoomed(base, base, 100, [300, 300]).k).toBeCloseTo(6 * base.k, 9)
  })
})
