import {
  bearing,
  distance,
  pointsOf,
  radians,
  ringHolds,
  ringOf,
  wrapDegrees,
  type Point,
  type Ring,
} from '../geometry'
import {
  discAt,
  landmarkList,
  layOn,
  onSkin,
  plainZone,
  zoneAt,
  type ArmZone,
  type Canvas,
  type Face,
  type FaceZone,
  type Ground,
  type Placement,
  type ZoneId,
} from '../skin'
import { samplePoints, seatsFor, type Candidate, type Seat, type Stencil } from '../stencil'
import { anchorOf } from './handles'
import { lengthsOf } from './fill'
import {
  axisFor,
  isMark,
  openingNumbers,
  placementsOf,
  washSides,
  type MarkStep,
  type SheetStep,
  type Step,
  type Wash,
  type World,
} from './kinds'
import { groundFor, type Look } from './look'
import { settle } from './register'

/** What of a moved look does not fit its new canvas, with the best smaller sheet where there is one. */
export interface Misfit {
  readonly stepId: string
  readonly label: string
  readonly sentence: string
  readonly instead: Seat | null
}

export interface Moved {
  readonly look: Look
  readonly misfits: Misfit[]
}

/** More of a print than this beside the skin, or on eyes, nostrils and mouth, does not fit: shares, 0 to 1. */
const BESIDE = 0.06
const SPOILT = 0.05

/** The map of points from one ground to another: along landmarks from face to face, else the whole design drawn together or apart about its middle. */
export function pointMap(from: Ground, to: Ground): (at: Point) => Point {
  if (from.face && to.face) return faceMap(from.face, to.face)
  const a = middleOf(from)
  const b = middleOf(to)
  const kx = reachOf(to)[0] / reachOf(from)[0]
  const ky = Math.min(1.2, reachOf(to)[1] / reachOf(from)[1])
  return ([x, y]) => [b[0] + (x - a[0]) * kx, b[1] + (y - a[1]) * ky]
}

/** Where a design sits on a ground, and how far it may reach to the side and up or down, mm. */
const middleOf = ({ face }: Ground): Point =>
  face ? [0, (face.landmarks.mid.hairline[1] + face.landmarks.mid.chin[1]) / 2] : [0, 0]
const reachOf = ({ face, arm }: Ground): Point =>
  face
    ? [face.landmarks.right.earFront[0], (face.landmarks.mid.chin[1] - face.landmarks.mid.hairline[1]) / 2]
    : [arm!.surface.across(Math.PI / 2, 0) * 0.8, arm!.length * 0.46]

/** First both forms are brought onto each other by heights and widths, then what is left at the landmarks is spread by inverse distance (Shepard 1968). */
function faceMap(from: Face, to: Face): (at: Point) => Point {
  const rough = ([x, y]: Point): Point => {
    const ym = from.form.toMean(y)
    return [(x / from.form.wide(ym)) * to.form.wide(ym), to.form.fromMean(ym)]
  }
  const targets = new Map(landmarkList(to.landmarks).map(m => [m.id, m.at]))
  const marks = landmarkList(from.landmarks).map(({ id, at }) => {
    const there = rough(at)
    const goal = targets.get(id)!
    return { at, dx: goal[0] - there[0], dy: goal[1] - there[1] }
  })
  return at => {
    const here = rough(at)
    let sum = 0,
      dx = 0,
      dy = 0
    for (const m of marks) {
      const w = 1 / (distance(m.at, at) ** 4 + 1e-3)
      sum += w
      dx += w * m.dx
      dy += w * m.dy
    }
    return [here[0] + dx / sum, here[1] + dy / sum]
  }
}

const TO_ARM: Record<string, ArmZone> = {
  'face': 'arm',
  'forehead': 'upper band',
  'temple': 'upper band',
  'brow': 'upper band',
  'eye': 'upper band',
  'lid': 'upper band',
  'nose': 'middle band',
  'under-eye': 'middle band',
  'cheekbone': 'middle band',
  'cheek': 'middle band',
}
const TO_FACE: Record<ArmZone, FaceZone[]> = {
  'arm': ['face'],
  'upper band': ['forehead'],
  'middle band': ['left.cheek', 'right.cheek'],
  'lower band': ['muzzle', 'chin'],
}

function movedZones(zones: readonly ZoneId[], to: Ground): ZoneId[] {
  return [
    ...new Set(
      zones.flatMap((id): ZoneId[] =>
        to.zone(id)
          ? [id]
          : to.arm
            ? [TO_ARM[plainZone(id)] ?? 'lower band']
            : (TO_FACE[id as ArmZone] ?? ['face']),
      ),
    ),
  ]
}

/**
 * Moves a whole look to another canvas: positions follow landmarks and zones, sheets keep their size. What then no longer fits is listed,
 * with the best smaller sheet of the drawer.
 * @param drawer the sheets that may be proposed
 */
export function movedTo(
  look: Look,
  canvas: Canvas,
  age: number,
  stencil: World['stencil'],
  drawer: readonly Candidate[] = [],
): Moved {
  const next = structuredClone(look)
  const from = groundFor(look)
  next.canvas = structuredClone(canvas) as Look['canvas']
  next.skin.age = age
  const to = groundFor(next)
  const map = pointMap(from, to)
  const at = (p: Point): [number, number] => round(map(p))
  next.focus = at(look.focus)
  for (const step of next.steps) {
    if (step.kind === 'wash') moveWash(step, from, to, map)
    else if (step.kind === 'sheet') moveSheet(step, to, map)
    else if (isMark(step)) moveMark(step, to, map)
  }
  settle(next.steps)
  const world: World = { ground: to, stencil, paint: () => undefined }
  return { look: next, misfits: next.steps.flatMap(step => misfitOf(step, world, next.focus, drawer) ?? []) }
}

/** To a tenth of a millimetre; adding 0 leaves no -0 behind. */
const round = ([x, y]: Point): [number, number] => [Math.round(x * 10) / 10 + 0, Math.round(y * 10) / 10 + 0]

function moveWash(wash: Wash, from: Ground, to: Ground, map: (at: Point) => Point): void {
  const { axis } = wash
  const middle =
    axis.kind === 'out' && JSON.stringify(axisFor(washSides(wash, from)[0]!)) === JSON.stringify(axis)
  if (wash.zones.length) wash.zones = movedZones(wash.zones, to)
  wash.points = wash.points.map(p => round(map(p)))
  if (wash.twin.about) wash.twin.about = round(map(wash.twin.about))
  if (wash.twin.rule === 'features' && !to.face) wash.twin.rule = 'midline'
  if (middle) {
    wash.axis = axisFor(washSides(wash, to)[0]!) as Wash['axis']
    return
  }
  if (axis.kind === 'line') wash.axis = { kind: 'line', from: round(map(axis.from)), to: round(map(axis.to)) }
  else {
    const start = map(axis.from)
    const ends = [
      [axis.reach, 0],
      [-axis.reach, 0],
      [0, axis.reach],
      [0, -axis.reach],
    ].map(([x, y]) => distance(start, map([axis.from[0] + x!, axis.from[1] + y!])))
    wash.axis = {
      kind: 'out',
      from: round(start),
      reach: Math.round(Math.max(5, ends.reduce((a, b) => a + b, 0) / 4) * 10) / 10,
    }
  }
}

function moveSheet(step: SheetStep, to: Ground, map: (at: Point) => Point): void {
  Object.assign(step, carried(step, map))
  if (step.twin.own) step.twin.own = carried(step.twin.own, map)
  if (step.twin.about) step.twin.about = round(map(step.twin.about))
  if (step.twin.rule === 'features' && !to.face) step.twin.rule = 'midline'
}

/** Handles go where the skin under them went, and lengths grow or shrink as the handles draw apart or together. */
function moveMark(step: MarkStep, to: Ground, map: (at: Point) => Point): void {
  const spread = (points: readonly Point[]) => points.reduce((s, p) => s + distance(p, anchorOf(points)), 0)
  const anchor = anchorOf(step.points)
  const before = step.points.length > 1 ? spread(step.points) : 4 * 8
  const after =
    step.points.length > 1
      ? spread(step.points.map(map))
      : spread(
          [
            [8, 0],
            [-8, 0],
            [0, 8],
            [0, -8],
          ].map(([x, y]) => map([anchor[0] + x!, anchor[1] + y!])),
        )
  const by = before > 0 ? Math.min(1.6, Math.max(0.6, after / before)) : 1
  step.points = step.points.map(p => round(map(p)))
  if (step.twin.about) step.twin.about = round(map(step.twin.about))
  if (step.twin.rule === 'features' && !to.face) step.twin.rule = 'midline'
  if (step.kind === 'glitter') {
    step.zones = movedZones(step.zones, to)
    step.width = Math.round(step.width * by * 10) / 10
  }
  if ((step.kind === 'line' || step.kind === 'dots') && step.of?.use === 'zones')
    step.of.zones = movedZones(step.of.zones, to)
  if (step.kind === 'line' || step.kind === 'dots')
    for (const { name, least, most } of lengthsOf(step))
      if (name !== 'distance')
        step.params[name] = Math.round(Math.min(most, Math.max(least, step.params[name]! * by)) * 10) / 10
}

/** A placement carried along a map of points: a second point up the sheet tells how it leans there. */
function carried<P extends { at: [number, number]; tilt: number }>(place: P, map: (at: Point) => Point): P {
  const reach = 10
  const up: Point = [
    place.at[0] + reach * Math.sin(radians(place.tilt)),
    place.at[1] - reach * Math.cos(radians(place.tilt)),
  ]
  const at = map(place.at)
  const lean = wrapDegrees(bearing(at, map(up)) - place.tilt)
  // A sheet on the midline stays straight to the digit.
  return {
    ...place,
    at: round(at),
    tilt: Math.round(wrapDegrees(place.tilt + (Math.abs(lean) < 0.05 ? 0 : lean)) * 10) / 10,
  }
}

/** Shares of a sheet's print that lie beside the skin and on eyes, nostrils and mouth. */
export function spoiltShares(
  step: SheetStep,
  placement: Placement,
  world: World,
): { beside: number; spoilt: string[]; share: number } {
  const sheet = world.stencil(step.stencil)
  if (!sheet) return { beside: 0, spoilt: [], share: 0 }
  const laid = layOn(world.ground.surface, placement)
  const used = new Set(step.passes.flatMap(p => openingNumbers(p, sheet)))
  const points = samplePoints({ ...sheet, openings: sheet.openings.filter((_, i) => used.has(i)) }).map(
    laid.point,
  )
  const keep = world.ground.keepOuts.filter(k => k.words !== 'hair')
  if (points.length === 0) return { beside: 0, spoilt: [], share: 0 }
  const beside = points.filter(p => !onSkin(world.ground, p)).length
  const hit = keep.filter(k => points.some(p => ringHolds(k.ring, ...p)))
  return {
    beside: beside / points.length,
    spoilt: hit.map(k => k.words),
    share: points.filter(p => keep.some(k => ringHolds(k.ring, ...p))).length / points.length,
  }
}

function misfitOf(step: Step, world: World, focus: Point, drawer: readonly Candidate[]): Misfit | null {
  const { ground } = world
  if (step.kind === 'lips')
    return ground.face
      ? null
      : {
          stepId: step.id,
          label: step.label,
          sentence: `${step.label}: there are no lips on a ${ground.words}.`,
          instead: null,
        }
  if (step.kind !== 'sheet') {
    const off = isMark(step) ? step.points.filter(p => !onSkin(ground, p)).length : 0
    return off && isMark(step) && off > step.points.length / 2
      ? {
          stepId: step.id,
          label: step.label,
          sentence: `${step.label}: most of it lies beside the skin.`,
          instead: null,
        }
      : null
  }
  const sheet = world.stencil(step.stencil)
  if (!sheet) return null
  for (const placement of placementsOf(step, world)) {
    const { beside, spoilt, share } = spoiltShares(step, placement, world)
    if (beside <= BESIDE && share <= SPOILT) continue
    const why =
      beside > BESIDE
        ? `${Math.round(100 * beside)} % of its print lies beside the skin`
        : `${Math.round(100 * share)} % of its print falls on the ${spoilt.join(' and the ')}`
    return {
      stepId: step.id,
      label: step.label,
      sentence: `${step.label}: ${sheet.name} (${Math.round(sheet.width)} × ${Math.round(sheet.height)} mm) no longer fits; ${why}.`,
      instead: smaller(sheet, placement, ground, focus, drawer),
    }
  }
  return null
}

/** The best smaller sheet of the drawer for the spot on which a sheet lies: of its kind where there is one. */
function smaller(
  sheet: Stencil,
  placement: Placement,
  ground: Ground,
  focus: Point,
  drawer: readonly Candidate[],
): Seat | null {
  const at = layOn(ground.surface, placement).point([0, 0])
  const zone = zoneAt(ground, at)
  const size = sheet.width * sheet.height
  const radius = Math.max(12, Math.min(sheet.width, sheet.height) / 2)
  const list = drawer.filter(
    c =>
      c.width * c.height < 0.92 * size && Math.max(c.width, c.height) <= Math.max(sheet.width, sheet.height),
  )
  if (list.length === 0) return null
  const disc = discAt(at, radius)
  const inside = clippedToSkin(disc, ground)
  const even = Math.abs(at[0]) < 3
  const seats = seatsFor(
    { ring: inside, even, keepOuts: ground.keepOuts, focus, zone: zone && plainZone(zone) },
    list,
  )
  const kind = (s: Seat) => list.find(c => c.id === s.id)!.kind === sheet.kind
  return seats.find(s => kind(s) && s.score > 0.25) ?? seats.find(s => s.score > 0.25) ?? null
}

/** A disc without the points that lie beside the skin: they are drawn in toward its middle until they lie on it. */
function clippedToSkin(disc: Ring, ground: Ground): Ring {
  const points = pointsOf(disc)
  const middle: Point = [
    points.reduce((s, p) => s + p[0], 0) / points.length,
    points.reduce((s, p) => s + p[1], 0) / points.length,
  ]
  return ringOf(
    points.map((p): Point => {
      for (let k = 1; k > 0.1; k -= 0.06) {
        const q: Point = [middle[0] + (p[0] - middle[0]) * k, middle[1] + (p[1] - middle[1]) * k]
        if (onSkin(ground, q)) return q
      }
      return middle
    }),
  )
}

/** A look with some misfits' sheets replaced by what was proposed for them. */
export function withSmallerSheets(
  look: Look,
  misfits: readonly Misfit[],
  nameOf: (id: string) => string | undefined,
): Look {
  const next = structuredClone(look)
  for (const step of next.steps) {
    const seat = misfits.find(m => m.stepId === step.id)?.instead
    if (step.kind !== 'sheet' || !seat) continue
    Object.assign(step, {
      stencil: seat.id,
      at: round(seat.at),
      tilt: Math.round(seat.tilt * 10) / 10,
      side: seat.side,
      grip: [0, 0],
      register: null,
      label: nameOf(seat.id)?.slice(0, 60) ?? step.label,
    })
    step.twin.own = null
    for (const pass of step.passes)
      pass.openings = seat.openings ? { use: 'chosen', numbers: [...seat.openings] } : { use: 'all' }
  }
  return next
}
