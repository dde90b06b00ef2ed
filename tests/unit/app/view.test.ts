import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { groundOf, PLAIN_FACE } from '#core/skin'
import {
  finenessOf,
  middleOf,
  nearOf,
  seenIn,
  serves,
  toScreen,
  toSkin,
  wholePicture,
  zoomed,
} from '../../../app/components/bench/stage/view'

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

describe('what is seen from near', () => {
  const { box } = groundOf(PLAIN_FACE, 30)
  const base = wholePicture(700, 624, 18, box)
  const whole = { box, fineness: finenessOf(base, 1) }
  const near = (factor: number, at: [number, number] = [350, 300]) =>
    nearOf(zoomed(base, base, factor, at), [700, 624], whole, 1)

  it('is nothing while the whole picture is as fine as the screen', () => {
    expect(nearOf(base, [700, 624], whole, 1)).toBeNull()
    expect(near(1.05)).toBeNull()
  })

  it('holds all of the skin that is seen, within the whole plane, and paints a rim more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.6, max: 6, noNaN: true }),
        fc.integer({ min: 20, max: 690 }),
        fc.integer({ min: 20, max: 610 }),
        (factor, x, y) => {
          const view = zoomed(base, base, factor, [x, y])
          const found = nearOf(view, [700, 624], whole, 1)
          // About a corner of the stage nothing may be seen but what lies beside the head.
          fc.pre(found !== null)
          const { seen, painted, fineness } = found
          expect(fineness).toBeLessThanOrEqual(12)
          expect(fineness).toBeGreaterThan(whole.fineness)
          expect(seen.minX).toBeLessThanOrEqual(Math.max(box.minX, -view.ox / view.k) + 1e-9)
          expect(seen.maxY).toBeGreaterThanOrEqual(Math.min(box.maxY, (624 - view.oy) / view.k) - 1e-9)
          expect(painted.minX).toBeLessThanOrEqual(seen.minX + 1e-9)
          expect(painted.maxX).toBeGreaterThanOrEqual(seen.maxX - 1e-9)
          // Pixels lie where those of the whole plane would lie at that fineness.
          for (const [at, from] of [
            [painted.minX, box.minX],
            [painted.maxY, box.minY],
          ] as const) {
            const pixels = (at - from) * fineness
            expect(Math.abs(pixels - Math.round(pixels))).toBeLessThan(1e-6)
          }
        },
      ),
    )
  })

  it('serves as long as the view stays in it, as fine', () => {
    const wide = near(2)!
    expect(serves(wide, wide)).toBe(true)
    const within = { ...wide, seen: { ...wide.seen, minX: wide.seen.minX + 10 } }
    expect([serves(wide, within), serves(within, wide)]).toEqual([true, false])
    expect(serves(wide, { ...wide, fineness: wide.fineness + 0.5 })).toBe(false)
  })

  it('is nothing where a view shows no skin', () => {
    expect(nearOf({ k: 10, ox: 99_999, oy: 0 }, [700, 624], whole, 1)).toBeNull()
  })
})

describe('the middle of what is seen', () => {
  const { box } = groundOf(PLAIN_FACE, 30)

  it('lies in the middle, a quarter of it, on pixels of the whole plane, with a thin rim', () => {
    const fineness = 2.25
    const { seen, painted, fineness: painting } = middleOf(box, { box, fineness })
    expect(painting).toBe(fineness)
    const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY]
    expect((seen.minX + seen.maxX) / 2).toBeCloseTo((box.minX + box.maxX) / 2, 0)
    expect((seen.minY + seen.maxY) / 2).toBeCloseTo((box.minY + box.maxY) / 2, 0)
    const share = ((seen.maxX - seen.minX) * (seen.maxY - seen.minY)) / (wide * high)
    expect(share).toBeGreaterThan(0.24)
    expect(share).toBeLessThan(0.27)
    expect(seen.minX - painted.minX).toBeGreaterThanOrEqual(3 - 1e-9)
    expect(seen.minX - painted.minX).toBeLessThan(4)
    for (const at of [seen.minX, seen.maxX, painted.minX, painted.maxX]) {
      const pixels = (at - box.minX) * fineness
      expect(Math.abs(pixels - Math.round(pixels))).toBeLessThan(1e-6)
    }
  })

  it('follows the view: what is seen of a stage that shows a corner is that corner', () => {
    const base = wholePicture(700, 624, 18, box)
    const view = zoomed(base, base, 3, [60, 40])
    const seen = seenIn(view, [700, 624], box)!
    const middle = middleOf(seen, { box, fineness: 6 })
    expect(middle.seen.maxX).toBeLessThan((box.minX + box.maxX) / 2)
    expect(middle.seen.maxY).toBeLessThan((box.minY + box.maxY) / 2)
    // Whole at the edge of the plane: no rim where there is nothing.
    expect(middleOf(box, { box, fineness: 6 }).painted.minX).toBeGreaterThan(box.minX)
  })
})
