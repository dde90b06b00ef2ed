import { ofKind, placementsOf, type Step, type World } from '../kinds'

/** What the hands do with a sheet before it is laid: wiped and turned over, or another copy taken. */
export interface Handling {
  readonly stepId: string
  readonly twin: boolean
  readonly what: 'wipe and flip' | 'second copy'
}

/** A sheet step as it is laid: which sheet, how many copies there are, and on which side each time. */
export interface LaidSides {
  readonly stepId: string
  readonly stencil: string
  readonly copies: number
  readonly sides: readonly ('A' | 'B')[]
}

/**
 * Where a sheet must be wiped and flipped, or a second copy taken, because the side that comes onto the skin
 * was painted before.
 * A copy keeps the side on which it was last used; with enough copies none is flipped.
 * @param laid the sheet steps that are painted, in their order
 */
export function handlingsFrom(laid: readonly LaidSides[]): Handling[] {
  const used = new Map<string, ('A' | 'B')[]>()
  const list: Handling[] = []
  for (const { stepId, stencil, copies, sides: wanted } of laid) {
    const sides = used.get(stencil) ?? []
    used.set(stencil, sides)
    wanted.forEach((side, i) => {
      if (sides.includes(side)) return
      if (sides.length === 0) sides.push(side)
      else if (sides.length < copies) {
        sides.push(side)
        list.push({ stepId, twin: i > 0, what: 'second copy' })
      } else {
        sides[sides.length - 1] = side
        list.push({ stepId, twin: i > 0, what: 'wipe and flip' })
      }
    })
  }
  return list
}

/** How many copies of a sheet the drawer has. */
export const copiesOf = (stencil: string, world: World): number =>
  Math.max(1, world.stencil(stencil)?.copies ?? 1)

/** The same for the steps of a look; see handlingsFrom. */
export const handlingsOf = (steps: readonly Step[], world: World): Handling[] =>
  handlingsFrom(
    ofKind('sheet', steps)
      .filter(s => !world.off?.has(s.id))
      .map(step => ({
        stepId: step.id,
        stencil: step.stencil,
        copies: copiesOf(step.stencil, world),
        sides: placementsOf(step, world).map(p => p.side),
      })),
  )
