import { findingsIn, type Finding } from '#core/checks'
import { flowOf, paintUseOf, timesOf, type Look, type Shows, type Ways, type World } from '#core/look'
import type { Paint } from '#core/paint'
import { balanceOf, emptySpots, printSteps, type BareSkinCache } from '#core/raster'
import { outcomeOf, type Outcome } from './outcomes'
import type { Composition, Told } from './told'

/** What the jobs of what is told need of the painting worker. */
interface Workshop {
  readonly worldOf: (look: Look) => World
  readonly bares: BareSkinCache
  readonly kit: () => readonly Paint[]
  readonly pause: () => Promise<void>
}

/**
 * The jobs that say what there is to know of a look. Each is given up, and answers null, when it is asked anew
 * meanwhile: what is told of a look of before helps nobody.
 */
export function toldJobs({ worldOf, bares, kit, pause }: Workshop) {
  let checks = 0
  let compositions = 0
  return {
    /**
     * What there is to say of a look, and what comes of its steps.
     * @param ways how the painter works
     * @param shows how steps show in the stage's picture, as far as it is painted
     */
    async findings(look: Look, today: string, shows: Shows[], ways: Ways): Promise<Told | null> {
      const mine = ++checks
      const world = { ...worldOf(look), ways }
      const findings: Finding[] = []
      for (const found of findingsIn(look, world, kit(), shows, today)) {
        findings.push(...found)
        await pause()
        if (mine !== checks) return null
      }
      const outcomes: Outcome[] = []
      for (const step of look.steps) {
        const outcome = outcomeOf(step, world)
        if (outcome) outcomes.push(outcome)
        await pause()
        if (mine !== checks) return null
      }
      return {
        times: timesOf(look, world),
        paintUse: paintUseOf(look, world),
        findings,
        outcomes,
      }
    },
    /**
     * How a look hangs together: its flow to the focal point, its empty patches, and how left and right weigh.
     */
    async composition(look: Look): Promise<Composition | null> {
      const mine = ++compositions
      const world = worldOf(look)
      const bare = bares.of(look, world.ground, 1)
      const flow = flowOf(look, world)
      await pause()
      if (mine !== compositions) return null
      const spots = emptySpots(look.steps, world)
      await pause()
      if (mine !== compositions) return null
      return {
        flow,
        spots,
        balance: balanceOf(bare.head, printSteps(bare.head, look.steps, world, bare.grain), 1),
      }
    },
  }
}
