import { expect, it } from 'vitest'
import { toldJobs } from '../../../app/workers/toldJobs'
import { findingsIn, findingsOf } from '#core/checks'
import { freshLook, freshWash, USUAL_WAYS, withSteps, type Look } from '#core/look'
import { BareSkinCache } from '#core/raster'
import { paints } from '../../../demo/paints'
import { paint, world } from '../world'

const look: Look = {
  ...freshLook('l', 'L'),
  steps: (['forehead', 'left.cheek', 'right.cheek'] as const).map((z, i) =>
    freshWash(`w${i}`, z, [z], [paint('beacon'), paint('dusk')], world.ground),
  ),
}
const worldOf = (l: Look) => withSteps(world, l.steps)
const day = '2026-06-01'

it('says step by step what is said of the whole look at once', () => {
  const parts = [...findingsIn(look, worldOf(look), paints, [], day)]
  expect(parts).toHaveLength(look.steps.length + 1)
  expect(parts.flat()).toEqual(findingsOf(look, worldOf(look), paints, [], day))
  expect(parts.flat().length).toBeGreaterThan(0)
})

it('gives a check up half way when a newer one is asked for, and a composition too', async () => {
  let held: (() => void)[] = []
  let pauses = 0
  const jobs = toldJobs({
    worldOf,
    bares: new BareSkinCache(1e8),
    kit: () => paints,
    pause: () => {
      pauses++
      return new Promise(resolve => held.push(resolve))
    },
  })
  const go = async () => {
    while (held.length) {
      const now = held
      held = []
      now.forEach(resolve => resolve())
      await new Promise(resolve => setTimeout(resolve))
    }
  }
  const ask = (l: Look) => jobs.findings(l, day, [], USUAL_WAYS)
  const old = ask(look)
  const newer = ask({ ...look, steps: look.steps.slice(0, 1) })
  const before = pauses
  await go()
  expect(await old).toBeNull()
  const told = (await newer)!
  expect(new Set(told.findings.map(f => f.stepId))).toEqual(new Set([null, 'w0']))
  // Of the older one nothing more was worked out after its first part: the newer has two parts and one outcome.
  expect(pauses - before).toBeLessThanOrEqual(3)

  const first = jobs.composition(look)
  const second = jobs.composition(look)
  await go()
  expect(await first).toBeNull()
  expect((await second)!.spots).toBeInstanceOf(Array)
})
