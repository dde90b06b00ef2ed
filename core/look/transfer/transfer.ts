import { tenth, tenthPoint } from '../../geometry'
import { plainZone, type Canvas, type ZoneId } from '../../skin'
import type { Candidate, Fit } from '../../stencil'
import { copied } from '../document'
import { isKind, kindOf, movedLoops, ofKind, type Step, type Transfer, type World } from '../kinds'
import { groundFor, type Look } from '../look'
import { settle } from '../composition/settle'
import { pointMap } from './pointMap'
import { smallerSheet } from './smaller'
import { movedZones } from './zones'

/** What of a moved look does not fit its new canvas, with the best smaller sheet where there is one. */
export interface Misfit {
  readonly stepId: string
  readonly label: string
  readonly sentence: string
  readonly instead: Fit | null
}

/** A look on its new canvas, and what of it does not fit there. */
export interface Moved {
  readonly look: Look
  readonly misfits: Misfit[]
}

/**
 * Moves a whole look to another canvas: positions follow landmarks and zones, sheets keep their size. What
 * then no longer fits is listed, with the best smaller sheet of the drawer.
 * @param drawer the sheets that may be proposed
 */
export function movedTo(
  look: Look,
  canvas: Canvas,
  age: number,
  stencil: World['stencil'],
  drawer: readonly Candidate[] = [],
): Moved {
  const from = groundFor(look)
  const next: Look = copied({ ...look, canvas: canvas as Look['canvas'] })
  next.skin.age = age
  const to = groundFor(next)
  const transfer: Transfer = { from, to, map: pointMap(from, to), zones: ids => movedZones(ids, to) }
  next.focus = tenthPoint(transfer.map(look.focus))
  if (look.foci) next.foci = look.foci.map(f => tenthPoint(transfer.map(f)))
  for (const step of next.steps) {
    kindOf<Step>(step).moves.carry(step, transfer)
    if ('holes' in step && step.holes) step.holes = movedLoops(step.holes, transfer.map)
    renameFor(step, look)
  }
  settle(next.steps)
  const world: World = { ground: to, stencil, paint: () => undefined }
  return { look: next, misfits: next.steps.flatMap(step => misfitOf(step, world, next, drawer) ?? []) }
}

/** What a base over zones is called by itself: after its zones. */
const zoneLabel = (zones: readonly ZoneId[]): string =>
  `Base, ${[...new Set(zones.map(plainZone))].join(' and ')}`.slice(0, 60)

/** A base that is called after places of the old canvas is called after those of the new one. */
function renameFor(step: Step, { steps }: Look): void {
  const before = steps.find(s => s.id === step.id)
  if (!isKind('wash', step) || !isKind('wash', before) || !before.zones.length) return
  if (!/^Base, [a-z -]+$/i.test(before.label)) return
  if (before.zones.join() !== step.zones.join()) step.label = zoneLabel(step.zones)
}

function misfitOf(step: Step, world: World, { focus }: Look, drawer: readonly Candidate[]): Misfit | null {
  const found = kindOf(step).moves.misfit(step, world)
  if (!found) return null
  const { sentence, sheet } = found
  return {
    stepId: step.id,
    label: step.label,
    sentence,
    instead: sheet ? smallerSheet(sheet.sheet, sheet.placement, world.ground, focus, drawer) : null,
  }
}

/** A look with some misfits' sheets replaced by what was proposed for them. */
export function withSmallerSheets(
  look: Look,
  misfits: readonly Misfit[],
  nameOf: (id: string) => string | undefined,
): Look {
  const next = copied(look)
  for (const step of ofKind('sheet', next.steps)) {
    const fit = misfits.find(m => m.stepId === step.id)?.instead
    if (!fit) continue
    Object.assign(step, {
      stencil: fit.id,
      at: tenthPoint(fit.at),
      tilt: tenth(fit.tilt),
      side: fit.side,
      grip: [0, 0],
      register: null,
      label: nameOf(fit.id)?.slice(0, 60) ?? step.label,
    })
    step.twin.own = null
    for (const pass of step.passes)
      pass.openings = fit.openings ? { use: 'chosen', numbers: [...fit.openings] } : { use: 'all' }
  }
  return next
}
