import { describe, expect, it } from 'vitest'
import { dryingFactor, roomProblem, USUAL_ROOM } from '#core/order'
import { freshOutline, freshSheet, planOf, withSteps } from '#core/look'
import { ground, paint, world as bare } from '../world'

describe('drying in a room', () => {
  it('is as usual at 23 degrees and half humidity', () => {
    expect(dryingFactor(USUAL_ROOM)).toBe(1)
  })

  it('is slower where it is damp, quicker where it is dry or the air moves', () => {
    expect(dryingFactor({ ...USUAL_ROOM, humidity: 0.9 })).toBeGreaterThan(1.2)
    expect(dryingFactor({ ...USUAL_ROOM, humidity: 0.2 })).toBeLessThan(0.9)
    expect(dryingFactor({ ...USUAL_ROOM, air: 'fan' })).toBeCloseTo(0.6, 9)
    // Warm air of the same relative humidity holds more water: the skin dries more slowly in it.
    expect(dryingFactor({ ...USUAL_ROOM, temperature: 30 })).toBeGreaterThan(1)
  })

  it('never ends where the air holds as much water as the skin gives, and says at most six times', () => {
    expect(dryingFactor({ temperature: 34, humidity: 1, air: 'still' })).toBe(6)
    expect(dryingFactor({ temperature: 45, humidity: 1, air: 'still' })).toBe(6)
  })

  it('of a room that cannot be is refused with a sentence', () => {
    expect(roomProblem({ temperature: 20, humidity: 1.2 })).toBe('Humidity is between 0 and 100 %.')
    expect(roomProblem({ temperature: NaN, humidity: 0.5 })).toContain('between 0 and 45')
    expect(roomProblem(USUAL_ROOM)).toBeNull()
  })

  it('lets the hands wait as much longer for what must be dry', () => {
    const base = freshOutline('base', 'Base', [0, -40], [paint('gull')], ground)
    const print = { ...freshSheet('print', 'Print', 'moth', [0, -40], paint('soot')), dry: true }
    const wait = (driesBy: number) => {
      const found = planOf(
        { steps: [base, print] },
        { ...withSteps(bare, [base, print]), driesBy },
        { limitMs: 5000, clock: () => performance.now() },
      )
      return 'planned' in found ? found.planned.waits[0]!.seconds : 0
    }
    // The sponge is loaded meanwhile, which takes as long in any room.
    expect(wait(2) + 4).toBeCloseTo(2 * (wait(1) + 4), 6)
  })
})
