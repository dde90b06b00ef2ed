import { boxAround, boxOf, EMPTY_BOX, ringsOf, type Box, type Point } from '../../../geometry'
import { dryingSeconds } from '../../../order'
import { layOn } from '../../../skin'
import { quickRings } from '../marks'
import type { Laying, PaintPlace, Pointer, SheetOutline, StepKind } from '../kind'
import { printedRings } from '../print'
import type { World } from '../world'
import { carriedOf, meanShare } from './carried'
import { effortOf, passFilm } from './effort'
import { hitSheet } from './hit'
import { loadPaints, loadPlaces } from './load'
import { sheetMoves } from './moves'
import { openArea, paintedOpenings } from './openings'
import { partShare } from './part'
import { headingOf, laidOf, placementsOf } from './placements'
import { openingRings, printsOf } from './prints'
import { sheetSchema, type SheetStep } from './schema'
import { linesOf } from './words'

/** Sheets that point nowhere, and such that lead both ways, as a crest on the midline or a border does. */
const WHOLE: readonly string[] = ['full face', 'half face', 'set']
const ALONG: readonly string[] = ['crest', 'border']

/** Of a sheet with more openings than this the outline stands for what it covers. */
const MANY = 60

function outlinesOf(step: SheetStep, world: World): SheetOutline[] {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return []
  return laidOf(step, world).map((laid, i) => ({
    stepId: step.id,
    twin: i > 0,
    ring: laid.ring(sheet.outline),
    openings: ringsOf(sheet.openings).map(laid.ring),
  }))
}

function boxesOf(step: SheetStep, world: World): Box[] {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return []
  return laidOf(step, world).map(laid =>
    sheet.openings.length > MANY
      ? boxOf(laid.ring(sheet.outline))
      : sheet.openings.reduce((b, o) => boxOf(laid.ring(o.outer), b), { ...EMPTY_BOX }),
  )
}

function laysOf(step: SheetStep, world: World): Laying[] {
  const sheet = world.stencil(step.stencil)
  const sides = step.twin.rule === 'none' ? 1 : 2
  if (!sheet) return []
  return step.passes.map((pass, i) => {
    const carried = carriedOf(step, i, 0, world)
    const full = passFilm(pass, world) * (carried ? meanShare(carried) : 1)
    return {
      refs: loadPaints(pass.load),
      mg: ((sides * partShare(pass, step, world) * openArea(pass, sheet)) / 100) * full,
    }
  })
}

function pointersOf(step: SheetStep, world: World): Pointer[] {
  const sheet = world.stencil(step.stencil)
  const painted = paintedOpenings(step, world)
  if (!sheet) return []
  // A texture of which only a part is dabbed is where that part is.
  return placementsOf(step, world).map((placement, i) => {
    const shapes = [...painted[i]!].flatMap(n => sheet.openings[n] ?? [])
    const b = boxAround(shapes)
    const laid = layOn(world.ground.surface, placement, world.quick)
    const middle: Point = shapes.length ? [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2] : [0, 0]
    return {
      at: laid.point(middle),
      heading: WHOLE.includes(sheet.kind) ? null : headingOf(sheet.heading, placement),
      both: ALONG.includes(sheet.kind),
      size: shapes.length ? Math.hypot(b.maxX - b.minX, b.maxY - b.minY) : 0,
      twin: i > 0,
    }
  })
}

/** A stencil laid on the skin and dabbed in one pass or several. */
export const sheetKind: StepKind<SheetStep> = {
  kind: 'sheet',
  words: 'stencil',
  schema: sheetSchema,
  sheets: step => [step.stencil],
  paintPlaces: step =>
    step.passes.flatMap((pass, i) =>
      loadPlaces(pass.load).map(({ path, ref }): PaintPlace => ({
        path: ['passes', i, 'load', ...path],
        ref,
      })),
    ),
  lays: laysOf,
  tool: step => step.passes[0]?.tool ?? null,
  effort: effortOf,
  dries: (step, world) =>
    Math.max(...step.passes.map(p => dryingSeconds(p.wetness, false, passFilm(p, world)))),
  waits: step => step.dry,
  prints: printsOf,
  outlines: outlinesOf,
  boxes: boxesOf,
  silhouette: (step, world) => quickRings(printsOf, step, world),
  contour: (step, world, openings) =>
    openings
      ? openingRings(step, openings, world)
      : printsOf(step, { ...world, flat: true }).flatMap(p => (p.particles ? [] : printedRings(p))),
  keepsFree: () => [],
  follows: step => step.passes.flatMap(p => (p.part?.by === 'step' ? [p.part.step] : [])),
  boundTo: () => null,
  anchor: step => step.at,
  pointers: pointersOf,
  mayTwin: step => step.register === null,
  held: () => 'sheet',
  hit: hitSheet,
  handling: () => ({ room: [0, 0], outline: 'open', words: 'handles' }),
  moves: sheetMoves,
  cautions: { keepOff: () => ['openings'], byHand: () => null },
  lines: linesOf,
  fields: () => FIELDS,
}

/** The colours and the hand matter first, then where it lies. */
const FIELDS = [
  { control: 'passes', path: 'passes', label: 'Colour layers' },
  { control: 'switch', path: 'dry', label: 'Let what lies beneath dry first' },
  { control: 'placement', path: '', label: 'Where' },
  { control: 'sheetTwin', path: 'twin', label: 'Twin' },
  { control: 'register', path: 'register', label: 'Registered' },
  { control: 'free', path: '', label: 'Left free' },
] as const
