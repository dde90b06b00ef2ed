import type { Placement } from '../../skin'
import { ofKind, type SheetStep, type Step } from '../kinds'
import { registeredPlacement } from '../placement'

/**
 * Brings every registered step of a look to where its host now is, twins included, in place; a step whose
 * host is gone is let go where it lies.
 */
export function settle(steps: readonly Step[]): void {
  const sheets = new Map(ofKind('sheet', steps).map(s => [s.id, s]))
  const done = new Set<string>()
  const visit = (step: SheetStep, path: ReadonlySet<string>): void => {
    if (done.has(step.id)) return
    done.add(step.id)
    const { register } = step
    const host = register && sheets.get(register.on)
    if (!register) return
    if (!host || path.has(register.on)) {
      step.register = null
      return
    }
    visit(host, new Set([...path, step.id]))
    put(step, registeredPlacement(host, register))
    const own = host.twin.own && registeredPlacement({ ...host.twin.own }, register)
    const twin: SheetStep['twin'] = {
      rule: host.twin.rule,
      about: host.twin.about && [...host.twin.about],
      own: own && { at: [...own.at], tilt: own.tilt, side: own.side, grip: [...(own.grip ?? [0, 0])] },
    }
    if (JSON.stringify(twin) !== JSON.stringify(step.twin)) step.twin = twin
  }
  for (const step of sheets.values()) visit(step, new Set([step.id]))
}

function put(step: SheetStep, { at, tilt, side, grip = [0, 0] }: Placement): void {
  if (
    step.at[0] === at[0] &&
    step.at[1] === at[1] &&
    step.tilt === tilt &&
    step.side === side &&
    step.grip[0] === grip[0] &&
    step.grip[1] === grip[1]
  )
    return
  step.at = [at[0], at[1]]
  step.tilt = tilt
  step.side = side
  step.grip = [grip[0], grip[1]]
}
