import { placementsOf, type Step, type World } from './kinds'

/** What the hands do with a sheet before it is laid: wiped and turned over, or another copy taken. */
export interface Handling {
  readonly stepId: string
  readonly twin: boolean
  readonly what: 'wipe and flip' | 'second copy'
}

/**
 * Where a sheet must be wiped and flipped, or a second copy taken, because the side that comes onto the skin was painted before.
 * A copy keeps the side on which it was last used; with enough copies none is flipped.
 */
export function handlingsOf(steps: readonly Step[], world: World): Handling[] {
  const used = new Map<string, ('A' | 'B')[]>()
  const list: Handling[] = []
  for (const step of steps) {
    if (step.kind !== 'sheet') continue
    const copies = Math.max(1, world.stencil(step.stencil)?.copies ?? 1)
    const sides = used.get(step.stencil) ?? []
    used.set(step.stencil, sides)
    placementsOf(step, world).forEach(({ side }, i) => {
      if (sides.includes(side)) return
      if (sides.length === 0) sides.push(side)
      else if (sides.length < copies) {
        sides.push(side)
        list.push({ stepId: step.id, twin: i > 0, what: 'second copy' })
      } else {
        sides[sides.length - 1] = side
        list.push({ stepId: step.id, twin: i > 0, what: 'wipe and flip' })
      }
    })
  }
  return list
}

/**
 * The order of some steps in which no glitter comes before the paint on which it goes while that is wet: it then stands right behind it.
 * @returns the new order, or null when the steps stand well as they are
 */
export function boundOrder(steps: readonly Step[]): Step[] | null {
  const early = steps.filter(
    (s, i) => s.kind === 'glitter' && s.on !== null && steps.findIndex(h => h.id === s.on) > i,
  )
  if (early.length === 0) return null
  const order = steps.filter(s => !early.includes(s))
  for (const step of [...early].reverse())
    order.splice(order.findIndex(h => step.kind === 'glitter' && h.id === step.on) + 1, 0, step)
  return order
}
