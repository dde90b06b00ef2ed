import type { HairCut } from '../faces/hair'
import type { Ground } from '../grounds'
import { headModel } from './head'
import type { Part } from './part'
import { armModel, boardModel } from './plain'

export type { Part } from './part'

/**
 * The solid model of what a look is painted on, for views from the side. Its skin wears the picture printed on the
 * ground's wrap chart, the back of a head the one of `drawBack`.
 */
export function modelOf(ground: Ground, cut: HairCut = 'tied back'): Part[] {
  if (ground.arm) return armModel(ground)
  return ground.relief ? headModel(ground, cut) : boardModel(ground)
}
