import {
  FOLLOWS,
  handlingsOf,
  openingNumbers,
  paintedOpenings,
  placementsOf,
  seatingOf,
  type Pass,
  type SheetStep,
} from '../look'
import { SEATS_MM } from '../skin'
import { ofSheets, type Check } from './finding'
import { openingsOn } from './openingsOff'
import { seatedNear } from './shift'

/** A sheet that bridges a hollow lets paint under it. */
export const seats = ofSheets(at => {
  const { step, sheet, world } = at
  const painted = paintedOpenings(step, world)
  const all = placementsOf(step, world).map((p, i) => seatingOf(sheet, p, world, painted[i]))
  const [worst] = [...all].sort((a, b) => a.seatedPressed - b.seatedPressed)
  if (!worst || worst.seatedPressed >= FOLLOWS) return []
  // Only of a texture can the openings that stand off be left out; a motif would lose a piece.
  const standing = new Set([...all[0]!.pressed].flatMap((gap, n) => (gap > 2 * SEATS_MM ? [n] : [])))
  const rest = (pass: Pass) => openingNumbers(pass, sheet).filter(n => !standing.has(n))
  let before: number | undefined
  const keptOver = (s: SheetStep) =>
    [...at.regions.named.map(k => k.region), at.regions.hair].reduce(
      (n, region) => n + openingsOn(s, sheet, region, world).size,
      0,
    )
  const fixable = sheet.kind === 'texture' && standing.size > 0 && step.passes.every(p => rest(p).length > 0)
  return [
    {
      level: 'warning',
      title: `Even pressed down ${Math.round(100 * worst.seatedPressed)} % of the openings touch the skin`,
      why: `${worst.sentence} (estimate)`,
      fix: fixable
        ? {
            words: 'Dab only those that touch the skin',
            sets: step.passes.map((p, i) => ({
              path: ['passes', i, 'openings'],
              to: { use: 'chosen', numbers: rest(p) },
            })),
          }
        : seatedNear(step, sheet, world, s => keptOver(s) <= (before ??= keptOver(step))),
    },
  ]
})

/** The painted side would face the skin. */
export const wipe: Check = ({ look, step, world }) =>
  handlingsOf(look.steps, world)
    .filter(h => h.stepId === step.id && h.what === 'wipe and flip')
    .map(h => ({
      level: 'tip' as const,
      title: `Wipe ${h.twin ? 'before the twin' : 'first'}`,
      why: 'The side that comes onto the skin was painted before: wipe it, or have a second copy of the stencil in the drawer.',
      fix: null,
    }))
