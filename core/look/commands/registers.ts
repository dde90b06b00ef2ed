import type { RegisterWay } from '../document'
import { placementOf, type SheetStep, type World } from '../kinds'
import { registerFit, relationOf } from '../placement'
import { onKind, Refused, type Command } from './command'

/** Lets a sheet go of its register, where it lies. */
export const letGo = (id: string): Command =>
  onKind('sheet', id, s => {
    s.register = null
  })

/** Holds a sheet in register with another's. Refused with a sentence when the two do not go together. */
export const registerOn = (
  step: SheetStep,
  host: SheetStep,
  way: RegisterWay,
  { stencil }: Pick<World, 'stencil'>,
): Command => {
  const a = stencil(host.stencil)
  const b = stencil(step.stencil)
  const hint = relationOf(placementOf(host), { ...placementOf(step), side: host.side })
  const fit = a && b && hint ? registerFit(a, b, way, hint) : null
  return onKind('sheet', step.id, s => {
    if (typeof fit === 'string') throw new Refused(fit)
    if (fit) s.register = { on: host.id, way, turn: fit.turn, shift: [fit.shift[0], fit.shift[1]] }
  })
}
