import type { Ground } from '../../../skin'
import { FRAMES } from './frames'
import { MASKS } from './masks'
import { ORNAMENTS } from './ornaments'
import type { Starter } from './setting'

export { hand, type Palette, type Starter } from './setting'

/** Arrangements for the brush; every one is a group of strokes that stay editable. */
const STARTERS = { ...MASKS, ...ORNAMENTS, ...FRAMES }
export type StarterId = keyof typeof STARTERS
export const STARTER_IDS = Object.keys(STARTERS) as StarterId[]
export const starterOf = (id: StarterId): Starter => STARTERS[id]

/** Whether an arrangement suits what is painted on. */
export const suits = (starter: Starter, ground: Ground): boolean =>
  starter.on === 'sheet' || (starter.on === 'face') === (ground.face !== null)
