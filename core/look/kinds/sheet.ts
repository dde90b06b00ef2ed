import { z } from 'zod'
import {
  boxAround,
  boxOf,
  centroidOf,
  distance,
  EMPTY_BOX,
  polygonArea,
  radians,
  ringsOf,
  wrapDegrees,
  type Point,
  type Polygon,
  type Ring,
} from '../../geometry'
import { dabSeconds, dryingSeconds, HANDS, loadsFor, stateAfter } from '../../order'
import { edgeSpread, filmOf, opacityOf, TOOLS, type GroundState } from '../../paint'
import { layOn, type Laid, type Placement } from '../../skin'
import type { Stencil } from '../../stencil'
import { gapsOf } from '../gaps'
import { loadPaints, loadPrint, loadWords } from '../load'
import {
  bounded,
  cakeRefSchema,
  chargeSchema,
  dabsSchema,
  idSchema,
  paintRefSchema,
  placementSchema,
  stepBase,
  textSchema,
  toolSchema,
  wetnessSchema,
} from '../parts'
import { registerSchema } from '../registerSchema'
import { twinOf, type OwnAxis } from '../twin'
import { aimWords, clockOf, edgeWords, FINGER_MM, whereIs } from '../where'
import { flakesOn, WHITE_GLITTER } from './flakes'
import { edgeIn, toolIn, type CardLine, type Print, type StepKind, type World } from './kind'

const openings = z.discriminatedUnion(
  'use',
  [
    z.strictObject({ use: z.literal('all') }),
    z.strictObject({ use: z.literal('group'), name: textSchema(40) }),
    z.strictObject({
      use: z.literal('chosen'),
      numbers: z.array(z.int().min(0)).min(1, 'must choose at least one opening').max(5000),
    }),
  ],
  { error: 'must use all openings, a group or chosen ones' },
)

/** Degrees clockwise from the sheet's up along which strips lie or one colour runs into the other. */
const direction = bounded(-360, 360)
const load = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('one'), paint: paintRefSchema }),
    z.strictObject({ kind: z.literal('cake'), cake: cakeRefSchema, direction }),
    z.strictObject({ kind: z.literal('over'), first: paintRefSchema, second: paintRefSchema, direction }),
  ],
  { error: 'must be one colour, a split cake or a colour over another' },
)

export const passSchema = z.strictObject({
  openings,
  load,
  tool: toolSchema,
  wetness: wetnessSchema,
  dabs: dabsSchema,
  /** Share of a full load that the tool has: what is left on it gives a faded print. */
  charge: chargeSchema,
  glitter: z.boolean({ error: 'must be true or false' }),
})
export type Pass = z.infer<typeof passSchema>

export const sheetSchema = z.strictObject({
  kind: z.literal('sheet'),
  ...stepBase,
  stencil: idSchema,
  ...placementSchema.shape,
  register: registerSchema.nullable(),
  /** Whether what lies beneath is let dry first. */
  dry: z.boolean({ error: 'must be true or false' }),
  passes: z.array(passSchema).min(1, 'must have at least one pass').max(8, 'must have at most 8 passes'),
})
export type SheetStep = z.infer<typeof sheetSchema>

/** Where the sheet of a step lies. */
export const placementOf = ({ at, tilt, side, grip }: SheetStep): Placement => ({ at, tilt, side, grip })

const centres = new WeakMap<Stencil, Point>()

/** The first mirror axis of a sheet, through its balance point; null for a sheet without one. */
export function axisOf(sheet: Stencil | undefined): OwnAxis | null {
  const angle = sheet?.axes?.[0]
  if (sheet === undefined || angle === undefined) return null
  let centre = centres.get(sheet)
  if (!centre) {
    centre = centroidOf(sheet.openings)
    centres.set(sheet, centre)
  }
  return { angle, centre }
}

/** Where the rule of a step's twin puts it; null when it has none. */
export function exactTwin(step: SheetStep, { ground, stencil }: World): Placement | null {
  return twinOf(ground, placementOf(step), step.twin.rule, step.twin.about, axisOf(stencil(step.stencil)))
}

/** Where the sheet of a step lies, its twin after it when it has one. */
export function placementsOf(step: SheetStep, world: World): Placement[] {
  const own = placementOf(step)
  const twin = step.twin.rule === 'none' ? null : (step.twin.own ?? exactTwin(step, world))
  return twin ? [own, twin] : [own]
}

/** Each sheet of a step laid on the skin. */
export const laidOf = (step: SheetStep, world: World): Laid[] =>
  placementsOf(step, world).map(p => layOn(world.ground.surface, p, world.quick))

/** The direction of a sheet on the skin, degrees clockwise from up; null when it has none. */
export function headingOf(heading: number | null | undefined, { tilt, side }: Placement): number | null {
  return heading === null || heading === undefined
    ? null
    : wrapDegrees((side === 'B' ? -heading : heading) + tilt)
}

/** What must be done to a sheet before its twin: nothing, a wipe and a flip, or another copy. */
export function twinHandling(
  step: SheetStep,
  world: World,
): 'none' | 'as it is' | 'wipe and flip' | 'second copy' {
  const [own, twin] = placementsOf(step, world)
  if (!twin || !own) return 'none'
  return twin.side === own.side
    ? 'as it is'
    : (world.stencil(step.stencil)?.copies ?? 1) > 1
      ? 'second copy'
      : 'wipe and flip'
}

const HANDLING = {
  'none': '',
  'as it is': 'same sheet as it is, side',
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
  const at = laid.point([0, 0])
  const w = whereIs(ground, at, sheet ? laid.ring(sheet.outline) : null, finger)
  const heading = headingOf(sheet?.heading, placement)
  const edge = sheet && edgeWords(ground, laid, sheet)
  const aim = heading === null ? null : aimWords(ground, at, heading)
  return {
    where: [w.landmark, w.second, w.midline].filter(Boolean).join('; '),
    turned: [`top at ${clockOf(placement.tilt)}`, edge, aim].filter(Boolean).join('; '),
  }
}

/** The numbers of the openings that a pass paints; on a twin laid without a flip they are the mirrored ones. Numbers that the sheet lacks are left out. */
export function passNumbers(pass: Pass, stencil: Stencil, mirrored = false): number[] {
  const partner = mirrored && pass.openings.use !== 'all' ? partnersOf(stencil) : null
  return openingNumbers(pass, stencil)
    .map(n => partner?.[n] ?? n)
    .filter(n => stencil.openings[n])
}
export const passOpenings = (pass: Pass, stencil: Stencil, mirrored = false): Polygon[] =>
  passNumbers(pass, stencil, mirrored).map(n => stencil.openings[n]!)

/** Thickness of the film that a pass leaves, mg/cm2. */
export const passFilm = (pass: Pass, world: World): number =>
  filmOf(toolIn(world, pass.tool), pass.wetness, pass.dabs) * pass.charge

const DRYNESS: readonly GroundState[] = ['dry', 'tacky', 'wet']

/** What a pass finds in each opening that an earlier pass of the same sheet painted: thin dry layers hold at once, a damp or runny one does not. */
function underPass(step: SheetStep, index: number, sheet: Stencil, world: World): Map<number, GroundState> {
  const found = new Map<number, GroundState>()
  let since = 0
  for (let i = index - 1; i >= 0; i--) {
    const pass = step.passes[i]!
    const state =
      pass.wetness === 'damp' || pass.wetness === 'runny'
        ? stateAfter(since + HANDS.reload, dryingSeconds(pass.wetness, false))
        : 'dry'
    for (const n of openingNumbers(pass, sheet)) if (!found.has(n)) found.set(n, state)
    since += passSeconds(pass, sheet, world)
  }
  return found
}

/**
 * How far the paint of a pass creeps past each of its openings, mm: from tool, wetness, dabs, what lies beneath and how far the sheet stands off.
 * @param index which pass of the step it is, or stands for
 */
export function spreadOf(
  step: SheetStep,
  pass: Pass,
  numbers: readonly number[],
  gaps: Float64Array | null,
  world: World,
  index = step.passes.indexOf(pass),
): number[] {
  const e0 = edgeIn(world, pass.tool, pass.wetness)
  const under = step.dry ? 'dry' : (world.under?.(step.id) ?? 'dry')
  const sheet = world.stencil(step.stencil)
  const own = sheet && index > 0 ? underPass(step, index, sheet, world) : null
  return numbers.map(n => {
    const gap = gaps?.[n] ?? 0
    const pass1 = own?.get(n) ?? 'dry'
    const wetter = DRYNESS.indexOf(pass1) > DRYNESS.indexOf(under) ? pass1 : under
    return edgeSpread(e0, Number.isNaN(gap) ? 0 : Math.min(gap, MOST_GAP), wetter, pass.wetness, pass.dabs)
  })
}
/** Fingers press the sheet down where they dab: a wider gap than this is not left, mm (common practice). */
const MOST_GAP = 0.5

const partners = new WeakMap<Stencil, number[]>()

/** For each opening of a sheet with a mirror axis, the number of its mirror image. */
function partnersOf(sheet: Stencil): number[] | null {
  const axis = axisOf(sheet)
  if (!axis) return null
  let list = partners.get(sheet)
  if (!list) {
    const middles = sheet.openings.map(o => centroidOf([o]))
    const c = Math.cos(radians(2 * axis.angle))
    const s = Math.sin(radians(2 * axis.angle))
    const [cx, cy] = axis.centre
    list = middles.map(([x, y]) => {
      const u = x - cx
      const v = y - cy
      const image: Point = [cx - c * u - s * v, cy - s * u + c * v]
      return middles.reduce(
        (best, m, i) => (distance(m, image) < distance(middles[best]!, image) ? i : best),
        0,
      )
    })
    partners.set(sheet, list)
  }
  return list
}

/** Whether a step's twin paints the mirrored openings: it lies on the same side because the sheet is its own mirror image. */
const twinMirrors = (step: SheetStep, placements: readonly Placement[], world: World): boolean =>
  step.twin.rule !== 'turn' &&
  placements[1]?.side === placements[0]!.side &&
  axisOf(world.stencil(step.stencil)) !== null

/** The openings that the passes of a step paint, of the sheet itself and of its twin. */
export function paintedOpenings(step: SheetStep, world: World): Set<number>[] {
  const sheet = world.stencil(step.stencil)
  const placements = placementsOf(step, world)
  if (!sheet) return placements.map(() => new Set())
  const own = new Set(step.passes.flatMap(p => openingNumbers(p, sheet)))
  const partner = twinMirrors(step, placements, world) ? partnersOf(sheet) : null
  return placements.map((_, i) => (i && partner ? new Set([...own].map(n => partner[n]!)) : own))
}

/** The number by which the step names an opening that its twin prints: of an even sheet the twin prints the mirrored one. */
export function ownNumber(step: SheetStep, world: World): (n: number) => number {
  const sheet = world.stencil(step.stencil)
  const partner = sheet && twinMirrors(step, placementsOf(step, world), world) ? partnersOf(sheet) : null
  return n => (partner ? partner[n]! : n)
}

/** The numbers of the openings that a pass paints; none when its group is not there any more. */
export function openingNumbers({ openings }: Pass, stencil: Stencil): readonly number[] {
  if (openings.use === 'all') return stencil.openings.map((_, n) => n)
  return openings.use === 'chosen'
    ? openings.numbers
    : (stencil.groups?.find(g => g.name === openings.name)?.openings ?? [])
}

/** Which openings a pass paints, in words; empty for all. */
const openingWords = ({ openings }: Pass): string =>
  openings.use === 'all'
    ? ''
    : openings.use === 'group'
      ? `, ${openings.name} only`
      : `, ${openings.numbers.length} openings only`

/** Loads of the tool that a pass takes on one side, by what it lays: the card and the findings count alike. */
export function passLoads(pass: Pass, sheet: Stencil, world: World, dabs = pass.dabs): number {
  const tool = toolIn(world, pass.tool)
  return loadsFor(openArea(pass, sheet), filmOf(tool, pass.wetness, 1) * pass.charge, dabs, tool)
}

/** Seconds of the hands for a pass on one side, its loads in it. */
function passSeconds(pass: Pass, sheet: Stencil, world: World): number {
  return (
    HANDS.reload * passLoads(pass, sheet, world) +
    dabSeconds(openArea(pass, sheet), pass.dabs, toolIn(world, pass.tool)) +
    (pass.glitter ? HANDS.glitter : 0)
  )
}

const openArea = (pass: Pass, stencil: Stencil) =>
  passOpenings(pass, stencil).reduce((a, p) => a + polygonArea(p), 0)

/** Sheets that point nowhere, and such that lead both ways, as a crest on the midline or a border does. */
const WHOLE: readonly string[] = ['full face', 'half face', 'set']
const ALONG: readonly string[] = ['crest', 'border']

export const sheetKind: StepKind<SheetStep> = {
  kind: 'sheet',
  words: 'stencil',
  schema: sheetSchema,
  sheets: step => [step.stencil],
  paints: step => step.passes.flatMap(p => loadPaints(p.load)),
  prints(step, world) {
    const sheet = world.stencil(step.stencil)
    if (!sheet) return []
    const placements = placementsOf(step, world)
    const mirrored = twinMirrors(step, placements, world)
    const painted = paintedOpenings(step, world)
    return placements.flatMap((placement, i) => {
      const laid = layOn(world.ground.surface, placement, world.quick)
      const gaps = world.flat ? null : gapsOf(sheet, placement, world, painted[i]!)
      return step.passes.flatMap((pass, index): Print[] => {
        const numbers = passNumbers(pass, sheet, i > 0 && mirrored)
        const spread = spreadOf(step, pass, numbers, gaps, world, index)
        const film = passFilm(pass, world)
        const rings: Ring[] = []
        const spreads: number[] = []
        numbers.forEach((n, k) => {
          for (const ring of [sheet.openings[n]!.outer, ...sheet.openings[n]!.holes]) {
            rings.push(laid.ring(ring))
            spreads.push(spread[k]!)
          }
        })
        const print: Print = {
          rings,
          spread: spreads,
          ...loadPrint(pass.load, sheet, numbers, laid, world),
          film,
          opacity: opacityOf(film),
          softness: 0.12,
          grain: pass.tool === 'dauber' ? 0.25 : 0.4,
        }
        return pass.glitter ? [print, flakesOn(rings, 'fine', WHITE_GLITTER, 0.9, step.id)] : [print]
      })
    })
  },
  outlines(step, world) {
    const sheet = world.stencil(step.stencil)
    if (!sheet) return []
    return laidOf(step, world).map((laid, i) => ({
      stepId: step.id,
      twin: i > 0,
      ring: laid.ring(sheet.outline),
      openings: ringsOf(sheet.openings).map(laid.ring),
    }))
  },
  lines(step, world) {
    const sheet = world.stencil(step.stencil)
    const { where, turned } = placeWords(step, placementOf(step), world)
    const lines: CardLine[] = [
      { label: 'sheet', text: `${sheet?.name ?? 'missing sheet'}, side ${step.side}, ${turned}` },
      { label: 'where', text: where },
    ]
    step.passes.forEach((pass, i) =>
      lines.push({
        label: step.passes.length > 1 ? `pass ${i + 1}` : 'colour',
        text: `${loadWords(pass.load)}, ${TOOLS[pass.tool].name}, ${pass.wetness}, ${pass.dabs} ${pass.dabs === 1 ? 'dab' : 'dabs'}${pass.charge < 1 ? ', what is left on it' : ''}${openingWords(pass)}${pass.glitter ? ', glitter before lifting' : ''}`,
      }),
    )
    const [, twin] = placementsOf(step, world)
    if (twin) {
      const words = placeWords(step, twin, world)
      lines.push({
        label: 'twin',
        text: `${HANDLING[twinHandling(step, world)]} ${twin.side}; ${words.where}, ${words.turned}`,
      })
    }
    return lines
  },
  effort(step, world) {
    const sheet = world.stencil(step.stencil)
    const twins = step.twin.rule === 'none' ? 1 : 2
    if (!sheet) return { seconds: 0, loads: 0 }
    let loads = 0,
      seconds = HANDS.place + HANDS.lift
    for (const pass of step.passes) {
      loads += passLoads(pass, sheet, world)
      seconds += passSeconds(pass, sheet, world)
    }
    return {
      loads: loads * twins,
      seconds:
        seconds * twins + (twins > 1 && twinHandling(step, world) === 'wipe and flip' ? HANDS.wipe : 0),
    }
  },
  fields: [
    // The colours and the hand matter first, then where it lies.
    { control: 'passes', path: 'passes', label: 'Passes' },
    { control: 'switch', path: 'dry', label: 'Let what lies beneath dry first' },
    { control: 'placement', path: '', label: 'Where' },
    { control: 'twin', path: 'twin', label: 'Twin' },
    { control: 'register', path: 'register', label: 'Registered' },
  ],
  anchor: step => step.at,
  tool: step => step.passes[0]?.tool ?? null,
  paintPaths: step =>
    step.passes.flatMap((pass, i): (string | number)[][] =>
      pass.load.kind === 'one'
        ? [['passes', i, 'load', 'paint']]
        : pass.load.kind === 'over'
          ? [
              ['passes', i, 'load', 'first'],
              ['passes', i, 'load', 'second'],
            ]
          : [['passes', i, 'load', 'cake']],
    ),
  boxes(step, world) {
    const sheet = world.stencil(step.stencil)
    return sheet
      ? laidOf(step, { ...world, quick: true }).map(laid =>
          sheet.openings.length > 60
            ? boxOf(laid.ring(sheet.outline))
            : sheet.openings.reduce((b, o) => boxOf(laid.ring(o.outer), b), { ...EMPTY_BOX }),
        )
      : []
  },
  dries: step => Math.max(...step.passes.map(p => dryingSeconds(p.wetness, false))),
  lays(step, world) {
    const sheet = world.stencil(step.stencil)
    const sides = step.twin.rule === 'none' ? 1 : 2
    return sheet
      ? step.passes.map(pass => ({
          refs: loadPaints(pass.load),
          mg: ((sides * openArea(pass, sheet)) / 100) * passFilm(pass, world),
        }))
      : []
  },
  pointers(step, world) {
    const sheet = world.stencil(step.stencil)
    const painted = paintedOpenings(step, world)
    if (!sheet) return []
    // A texture of which only a part is dabbed is where that part is.
    return placementsOf(step, world).map((placement, i) => {
      const shapes = [...painted[i]!].flatMap(n => sheet.openings[n] ?? [])
      const b = boxAround(shapes)
      const laid = layOn(world.ground.surface, placement, true)
      const middle: Point = shapes.length ? [(b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2] : [0, 0]
      return {
        at: laid.point(middle),
        heading: WHOLE.includes(sheet.kind) ? null : headingOf(sheet.heading, placement),
        both: ALONG.includes(sheet.kind),
        size: shapes.length ? Math.hypot(b.maxX - b.minX, b.maxY - b.minY) : 0,
        twin: i > 0,
      }
    })
  },
}
