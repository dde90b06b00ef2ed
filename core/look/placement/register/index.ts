import type { Rigid } from '../../../geometry'
import type { PreparedSheet } from '../../../stencil'
import type { RegisterWay } from '../../document'
import { edgeFit } from './edge'
import { latticeFit } from './lattice'
import { motifFit } from './motif'
import type { RegisterFit } from './registerFit'

export type { RegisterFit } from './registerFit'
export { registerMeets } from './meets'
export { registeredPlacement, relationOf } from './relation'

/**
 * Fits a guest sheet on a host: how the guest's frame must lie in the host's.
 * @param hint how it lies now; among equally good places the nearest is taken
 * @returns the fit, or a sentence that says why there is none
 */
export function registerFit(
  host: PreparedSheet,
  guest: PreparedSheet,
  way: RegisterWay,
  hint: Rigid,
): RegisterFit | string {
  return way === 'motif'
    ? motifFit(host, guest, hint)
    : way === 'edge'
      ? edgeFit(host, guest, hint)
      : latticeFit(host, guest, way, hint)
}
