import {
  bearing,
  boxOf,
  distance,
  offset,
  pointsOf,
  ringCentroid,
  type Point,
  type Ring,
} from '../../../geometry'
import { effortFrom, HANDS, task } from '../../../order'
import { BRUSHES, brushFilm, opacityOf, TAKES_UP } from '../../../paint'
import { roundOn } from '../../../skin'
import { dotsAlong, dotShape, valuesOf, type Dot } from '../../../stroke'
import { anchorOf, inTheFlat, liesOf, onSkinBy } from '../../placement'
import { BY_DISTANCE, evenly, regionFrom, sourceRings, stepsOf } from '../contour'
import type { CardLine, Moves, Pointer, StepKind } from '../kind'
import { carryParams, carrySource, growParams } from '../lengths'
import { anchorOfMark, carryHandles, hitMark, markMoves, quickRings, whereOfMark } from '../marks'
import { laidPaint } from '../paints'
import { BY_BRUSH, printedRings, type Print } from '../print'
import type { World } from '../world'
import {
  AROUND_DOTS,
  eachValues,
  endValues,
  isFollowing,
  dotsSchema,
  paramsOfRun,
  roomForRun,
  RUN_WORDS,
  type DotsStep,
} from './schema'

/** Dots around what a step names, so many on each piece as it is long. */
function dotsAround(step: DotsStep, world: World): Dot[] {
  const value = valuesOf(AROUND_DOTS, step.params)
  const region = step.of ? regionFrom(sourceRings(step.of, step.id, world)) : []
  const lines = offset(region, value.distance).map(poly => evenly(poly.outer))
  const total = lines.reduce((s, l) => s + l.length, 0)
  return lines.flatMap(line => {
    const count = Math.max(1, Math.round((value.count * line.length) / total))
    return dotsAlong(line, true, { ...value, count })
  })
}

/** A dot on every piece of what a step names, at a place of the piece; sizes go from first to last. */
function dotsOnEach(step: DotsStep, world: World): Dot[] {
  const value = eachValues(step.params)
  const pieces = step.of ? regionFrom(sourceRings(step.of, step.id, world)) : []
  return pieces.slice(0, MOST_EACH).map((piece, i, all): Dot => {
    const middle = ringCentroid(piece.outer)
    const edge = farthestToward(piece.outer, middle, value.side)
    const share = value.out / 100
    const t = all.length > 1 ? i / (all.length - 1) : 0
    return {
      at: [middle[0] + share * (edge[0] - middle[0]), middle[1] + share * (edge[1] - middle[1])],
      size: value.first + (value.last - value.first) * t,
    }
  })
}
/** More dots than this nobody sets by hand. */
const MOST_EACH = 400

/** Where a ring lies that is seen from its middle in a direction, degrees clockwise from up. */
function farthestToward(ring: Ring, middle: Point, side: number): Point {
  const off = (p: Point) => Math.abs(((bearing(middle, p) - side + 540) % 360) - 180)
  return pointsOf(ring).reduce((best, p) => (off(p) < off(best) ? p : best))
}

/** Dots where the pulls of earlier strokes begin or end. */
function dotsAtEnds(step: DotsStep, world: World): Dot[] {
  const value = endValues(step.params)
  const tips = stepsOf(step.of).flatMap(id => world.host?.(id, step.id)?.tips(world) ?? [])
  return tips
    .flatMap(({ start, end }) => [...(value.ends !== 1 ? [start] : []), ...(value.ends !== 0 ? [end] : [])])
    .slice(0, MOST_EACH)
    .map(at => ({ at, size: value.first }))
}

const FOLLOW = { around: dotsAround, each: dotsOnEach, ends: dotsAtEnds } as const

/** The dots of a step on the skin, by its sides. */
export function dotsOf(step: DotsStep, world: World): { dots: Dot[]; twin: boolean }[] {
  const { run } = step
  if (isFollowing(run)) return [{ twin: false, dots: FOLLOW[run](step, world) }]
  return liesOf(step, world.ground).map(lie => ({
    twin: lie.twin,
    dots: onSkinBy(
      lie,
      world,
      h => dotShape(run).draw(h, step.params),
      (dot, to) => ({ ...dot, at: to(dot.at) }),
    ),
  }))
}

const all = (step: DotsStep, world: World) => dotsOf(step, world).flatMap(s => s.dots)
/** A dot stands up from the brush: it is thicker than a line (common practice). */
const THICKER = 1.25
const filmOf = ({ brush }: DotsStep): number => brushFilm(brush) * THICKER

function printsOf(step: DotsStep, world: World): Print[] {
  const film = filmOf(step)
  const rings = all(step, world).map(d =>
    roundOn(world.ground.surface, d.at, d.size / 2, d.size > 3 ? 32 : 20),
  )
  return [
    {
      rings,
      spread: null,
      paints: [laidPaint(step.paint, world)],
      axis: null,
      strips: null,
      film,
      opacity: opacityOf(film),
      softness: 0.08,
      grain: 0,
      ...BY_BRUSH,
      meets: { dabs: 1, takesUp: TAKES_UP.brush },
    },
  ]
}

function linesOf(step: DotsStep, world: World): CardLine[] {
  const where = whereOfMark(step, world)
  const n = all(step, world).length
  const { first, last } = step.params
  return [
    {
      label: 'dots',
      text: `${n}, ${RUN_WORDS[step.run]}, ${last === undefined || first === last ? `${first} mm` : `${first} mm down to ${last} mm`}`,
    },
    ...(where === null ? [] : [{ label: 'where', text: where }]),
    {
      label: 'colour',
      text: `${step.paint.name}, ${BRUSHES[step.brush].name}, fully loaded for the big ones`,
    },
  ]
}

function pointersOf(step: DotsStep, world: World): Pointer[] {
  const { run } = step
  if (isFollowing(run)) return []
  return liesOf(step, world.ground).map((lie): Pointer => {
    const dots = inTheFlat(
      lie,
      world,
      h => dotShape(run).draw(h, step.params),
      (dot, to) => ({ ...dot, at: to(dot.at) }),
    )
    const middle: Point = anchorOf(dots.map(d => d.at))
    const a = dots[0]
    const b = dots.at(-1)
    const straight = (run === 'row' || run === 'threes') && a && b && distance(a.at, b.at) > 1
    // Dots that all are of one size have no way of their own.
    return {
      at: anchorOf(lie.points),
      heading: straight && a.size > b.size ? bearing(a.at, b.at) : null,
      size: Math.max(0, ...dots.map(d => 2 * distance(d.at, middle) + d.size)),
      twin: lie.twin,
    }
  })
}

const silhouetteOf = (step: DotsStep, world: World) => quickRings(printsOf, step, world)

const usual = markMoves(pointersOf)
const moves: Moves<DotsStep> = {
  ...usual,
  carry(step, transfer) {
    const by = carryHandles(step, transfer)
    carrySource(step, transfer)
    carryParams(step, paramsOfRun(step.run), by)
  },
  grow(step, world, by) {
    usual.grow(step, world, by)
    growParams(step, paramsOfRun(step.run), by)
  },
}

/** Runs of dots, set down or around something. */
export const dotsKind: StepKind<DotsStep> = {
  kind: 'dots',
  words: 'dots',
  schema: dotsSchema,
  sheets: () => [],
  paintPlaces: step => [{ path: ['paint'], ref: step.paint }],
  lays: (step, world) => [
    {
      refs: [step.paint],
      mg:
        (all(step, world).reduce((s, d) => s + (Math.PI / 4) * d.size ** 2, 0) / 100) *
        brushFilm(step.brush) *
        THICKER,
    },
  ],
  tool: step => step.brush,
  effort(step, world) {
    const dots = all(step, world)
    const loads = Math.max(1, Math.ceil(dots.reduce((s, d) => s + d.size, 0) / 30))
    return effortFrom([task('load', HANDS.brushLoad * loads), task('stroke', HANDS.dot * dots.length)], loads)
  },
  dries: () => 45,
  waits: () => false,
  prints: printsOf,
  outlines: () => [],
  boxes: (step, world) =>
    all(step, world).map(d => boxOf(roundOn(world.ground.surface, d.at, d.size / 2, 8))),
  silhouette: silhouetteOf,
  contour: (step, world) => printsOf(step, { ...world, flat: true }).flatMap(printedRings),
  keepsFree: () => [],
  follows: step => stepsOf(step.of),
  boundTo: () => null,
  anchor: anchorOfMark,
  pointers: pointersOf,
  mayTwin: () => true,
  held: () => 'mark',
  hit: (step, world, at) => hitMark(step, silhouetteOf(step, world), world, at),
  handling: step => ({ room: roomForRun(step.run), outline: 'open', words: 'handles' }),
  moves,
  cautions: {
    keepOff: () => ['shift'],
    byHand: step => (isFollowing(step.run) ? BY_DISTANCE : 'move its handles, or make it smaller'),
    takesUpBase: true,
  },
  lines: linesOf,
  fields: () => FIELDS,
}

const FIELDS = [
  { control: 'dots', path: '', label: 'Dots' },
  { control: 'handles', path: 'points', label: 'Where' },
  { control: 'twin', path: 'twin', label: 'Twin' },
] as const
