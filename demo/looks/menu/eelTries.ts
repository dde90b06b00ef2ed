import type { Look } from '../../../core/look'
import { attempt, recoloured, withoutLabels } from '../attempts'
import { silverEel } from './stall'

/** Paints of the kit that take the place of others, by their ids. */
const COPPER: Readonly<Record<string, string>> = {
  'tide-pearl': 'shell-pearl',
  'lagoon': 'coral',
  'midnight': 'rust',
  'mackerel': 'copper',
}

/** Two more tries of Silver Eel: in copper, and a quick one. */
export const eelTries: Look[] = [
  attempt(silverEel, 'B', 'copper, for a darker evening', steps => steps.map(s => recoloured(s, COPPER))),
  attempt(silverEel, 'C', 'quick, in front of a queue', steps =>
    withoutLabels(steps, ['Eelskin', 'Frost where it stayed empty', 'Bubbles in threes']),
  ),
]
