import { groundFor, withSteps, type Look, type World } from '#core/look'
import type { Habits } from '#core/checks'
import type { Picture } from '../../app/workers/picture'
import { planned, shorter } from '../../app/workers/planned'
import { sittingJobs } from '../../app/workers/sitting'
import { world } from '../unit/world'

const worldOf = (look: Look): World => withSteps({ ...world, ground: groundFor(look) }, look.steps)
const { sitting, forgotten } = sittingJobs({ worldOf })
/** What a picture is here: one pixel, since nobody looks at it. */
const PIXEL: Picture = { rgba: new Uint8ClampedArray(4), width: 1, height: 1 }

/** What the painting workers answer, worked out on the spot; pictures are not painted. */
export const painter = {
  plan: async (look: Look) => planned(look, worldOf(look)),
  shortened: async (look: Look, budgets: readonly number[], points: number) =>
    shorter(look, worldOf(look), budgets, points),
  sitting: async (look: Look, finger: number, bridges: ReadonlyMap<string, number | null>) =>
    sitting(look, finger, bridges),
  forgotten: async (look: Look, habits: Habits | null) => forgotten(look, habits),
  findings: async () => null,
  paint: async () => PIXEL,
  thumbs: async () => null,
}
