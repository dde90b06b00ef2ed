import { tenth } from '../../geometry'
import type { Param } from '../../stroke'
import type { Source } from '../document'
import type { Transfer } from './transfer'

/** A step shaped by numbers. */
interface Shaped {
  params: Record<string, number>
}

const lengths = (params: readonly Param[]): Param[] => params.filter(q => q.unit === 'mm')
const within = ({ least, most }: Param, v: number): number => Math.min(most, Math.max(least, v))

/** Grows the numbers of a step that are lengths with it, in place. */
export function growParams(step: Shaped, params: readonly Param[], by: number): void {
  const grown = lengths(params).map(q => [q.name, within(q, tenth(step.params[q.name]! * by))])
  step.params = { ...step.params, ...Object.fromEntries(grown) }
}

/**
 * Brings the lengths of a step to another canvas, in place; how far it keeps from what it goes around stays.
 */
export function carryParams(step: Shaped, params: readonly Param[], by: number): void {
  for (const q of lengths(params))
    if (q.name !== 'distance') step.params[q.name] = tenth(within(q, step.params[q.name]! * by))
}

/** Brings the zones around which a step goes to another canvas, in place. */
export function carrySource(step: { of: Source | null }, { zones }: Transfer): void {
  if (step.of?.use === 'zones') step.of.zones = zones(step.of.zones)
}
