import { ofKind, placementsOf, type Step, type World } from '../kinds'

/** What the hands do with a sheet before it is laid: wiped and turned over, or another copy taken. */
export interface Handling {
  readonly stepId: string
  readonly twin: boolean
  readonly what: 'wipe and flip' | 'second copy'
}

/**
 * Where a sheet must be wiped and flipped, or a second copy taken, because the side that comes onto the skin
 * was painted before.
 * A copy keeps the side on which it was last used; with enough copies none is flipped.
 */
export function handlingsOf(steps: readonly Step[], world: World): Handling[] {
  const used = new Map<string, ('A' | 'B')[]>()
  const list: Handling[] = []
  for (const step of ofKind('sheet', steps)) {
    if (world.off?.has(step.id)) continue
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
