import { TOOLS } from '../../../paint'
import { layOn, type Placement } from '../../../skin'
import { aimWords, clockOf, edgeWords, FINGER_MM, whereIs } from '../../placement'
import type { CardLine } from '../kind'
import { GLITTERS } from '../flakes'
import { freeWords } from '../leftFree'
import type { World } from '../world'
import { loadWords } from './load'
import { openingWords } from './openings'
import { printedMiddle } from './middle'
import { partWords } from './part'
import { headingOf, placementOf, placementsOf, twinHandling } from './placements'
import type { Pass, SheetStep } from './schema'

const HANDLING = {
  'none': '',
  'as it is': 'same stencil as it is, side',
  'wipe and flip': 'wipe and flip to side',
  'second copy': 'second copy, flipped to side',
} as const

/** Where a sheet lies in a painter's words: from what, its edges, and what it points to. */
export function placeWords(
  step: SheetStep,
  placement: Placement,
  world: World,
): { where: string; turned: string } {
  const { ground, finger = FINGER_MM } = world
  const sheet = world.stencil(step.stencil)
  const laid = layOn(ground.surface, placement, world.quick)
  // Of a sheet of which only some openings are dabbed, those are what lies somewhere.
  const some = step.passes.every(p => p.openings.use !== 'all')
  const at = laid.point(some ? printedMiddle(step, world) : [0, 0])
  const w = whereIs(ground, at, sheet ? laid.ring(sheet.outline) : null, finger)
  const heading = headingOf(sheet?.heading, placement)
  const edge = sheet && edgeWords(ground, laid, sheet)
  const aim = heading === null ? null : aimWords(ground, at, heading)
  return {
    where: [w.landmark, w.second, w.midline].filter(Boolean).join('; '),
    turned: [`top at ${clockOf(placement.tilt)}`, edge, aim].filter(Boolean).join('; '),
  }
}

const sparkleWords = ({ sparkle }: Pass): string =>
  sparkle ? `${GLITTERS[sparkle.sort].words} in ${sparkle.colour.name.toLowerCase()}` : 'glitter'

/** A pass in a line of the step sheet. */
const passWords = (pass: Pass, world: World): string =>
  [
    loadWords(pass.load),
    TOOLS[pass.tool].name,
    pass.wetness,
    `${pass.dabs} ${pass.dabs === 1 ? 'dab' : 'dabs'}`,
  ].join(', ') +
  (pass.carries ? ', without reloading' : pass.charge < 1 ? ', what is left on it' : '') +
  openingWords(pass) +
  partWords(pass, world) +
  (pass.runsOut === undefined ? '' : ', running out to nothing') +
  (pass.glitter ? `, ${sparkleWords(pass)} before lifting` : '')

/** What the step sheet says of a stencil step. */
export function linesOf(step: SheetStep, world: World): CardLine[] {
  const sheet = world.stencil(step.stencil)
  const { where, turned } = placeWords(step, placementOf(step), world)
  const lines: CardLine[] = [
    { label: 'sheet', text: `${sheet?.name ?? 'missing stencil'}, side ${step.side}, ${turned}` },
    { label: 'where', text: where },
    ...step.passes.map((pass, i) => ({
      label: step.passes.length > 1 ? `layer ${i + 1}` : 'colour',
      text: passWords(pass, world),
    })),
  ]
  const free = freeWords(step)
  if (free.length) lines.push({ label: 'left free', text: free.join(' and ') })
  const [, twin] = placementsOf(step, world)
  if (!twin) return lines
  const words = placeWords(step, twin, world)
  const text = `${HANDLING[twinHandling(step, world)]} ${twin.side}; ${words.where}, ${words.turned}`
  return [...lines, { label: 'twin', text }]
}
