import { fallOver, loadPaints, ofKind, placementsOf, type Pass, type Step, type World } from '../kinds'

/** A tool with a colour on it: another colour needs another sponge. */
export const toolWith = ({ tool, load }: Pick<Pass, 'tool' | 'load'>): string =>
  `${tool} ${loadPaints(load)
    .map(p => p.id)
    .join(' ')}`

/**
 * Shares of a load that the tool still holds when each pass of the sheets begins, by step and pass: of the last
 * one that was dabbed with that tool and colour; 1 where there was none.
 */
export function heldAll(steps: readonly Step[], world: World): Map<string, number[]> {
  const left = new Map<string, number>()
  const found = new Map<string, number[]>()
  for (const step of ofKind('sheet', steps)) {
    const sheet = world.stencil(step.stencil)
    if (!sheet || world.off?.has(step.id)) continue
    const sides = placementsOf(step, world).length
    const held = step.passes.map(pass => {
      const key = toolWith(pass)
      const begins = left.get(key) ?? 1
      const fall = fallOver(pass, step, sheet, world)
      // A tool that is loaded anew ends with what its last load leaves.
      const last = fall % 1 || Math.min(1, fall)
      left.set(key, pass.carries ? begins * Math.exp(-fall * sides) : pass.charge * Math.exp(-last))
      return begins
    })
    found.set(step.id, held)
  }
  return found
}
