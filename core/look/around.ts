import { z } from 'zod'
import {
  bearing,
  clockwise,
  offset,
  pointsOf,
  regionOf,
  ringCentroid,
  type Point,
  type Polygon,
  type Ring,
} from '../geometry'
import { BRUSHES, widthAt, type BrushForm, type BrushId } from '../paint'
import { jitter, stationsAt, lengthOf, thinThickThin, type Param, type Params, type Spine } from '../stroke'
import {
  kindOf,
  ownNumber,
  paintedOpenings,
  placementsOf,
  printedRings,
  type Step,
  type World,
} from './kinds'
import { layOn } from '../skin'
import { awayOnSkin } from './away'
import { idSchema, zoneSchema } from './parts'

/** What a line goes around: the print of an earlier step, some openings of it, or zones. */
export const sourceSchema = z.discriminatedUnion(
  'use',
  [
    z.strictObject({
      use: z.literal('step'),
      step: idSchema,
      openings: z.array(z.int().min(0)).min(1, 'must choose at least one opening').max(400).nullable(),
    }),
    z.strictObject({
      use: z.literal('zones'),
      zones: z.array(zoneSchema).min(1, 'must name at least one zone').max(20),
    }),
  ],
  { error: 'must name a step or zones' },
)
export type Source = z.infer<typeof sourceSchema>

const p = (
  name: string,
  words: string,
  unit: Param['unit'],
  least: number,
  most: number,
  step: number,
  usual: number,
): Param => ({ name, words, unit, least, most, step, usual })
const PRESS = p('press', 'pressure', '%', 5, 100, 5, 45)
const DISTANCE = p('distance', 'distance', 'mm', -4, 12, 0.2, 0)

/** Lines that follow something else instead of handles of their own. */
export const AROUND = {
  outline: { words: 'outline', forms: ['round', 'dagger'], brush: 'round2', params: [PRESS, DISTANCE] },
  halfOutline: {
    words: 'jagged half outline',
    forms: ['round', 'dagger'],
    brush: 'round2',
    params: [
      { ...PRESS, usual: 60 },
      p('distance', 'distance', 'mm', -2, 8, 0.2, 0.4),
      p('side', 'side, from the top', '°', -180, 180, 15, 135),
      p('share', 'how far round', '%', 10, 90, 5, 45),
      p('jag', 'jaggedness', '%', 0, 100, 10, 50),
    ],
  },
} as const satisfies Record<
  string,
  { words: string; forms: readonly BrushForm[]; brush: BrushId; params: readonly Param[] }
>
export type AroundId = keyof typeof AROUND
export const AROUND_IDS = Object.keys(AROUND) as AroundId[]

/** Rings that a source covers on the skin. Only steps before the one that asks count, so that nothing goes around itself. */
export function sourceRings(source: Source, asking: string, world: World): Ring[] {
  if (source.use === 'zones') return source.zones.flatMap(id => world.ground.zone(id) ?? [])
  const steps = (world.steps ?? []) as readonly Step[]
  const before = steps.slice(
    0,
    Math.max(
      0,
      steps.findIndex(s => s.id === asking),
    ),
  )
  const host = before.find(s => s.id === source.step)
  if (!host) return []
  if (host.kind === 'sheet' && source.openings) {
    const sheet = world.stencil(host.stencil)
    const printed = paintedOpenings(host, world)
    const asTwin = ownNumber(host, world)
    return sheet
      ? placementsOf(host, world).flatMap((place, i) => {
          const laid = layOn(world.ground.surface, place, true)
          // The twin of an even sheet prints the mirrored openings; only what is printed can be gone around.
          return source
            .openings!.map(n => (i ? asTwin(n) : n))
            .flatMap(n =>
              sheet.openings[n] && printed[i]!.has(n) ? clockwise([laid.ring(sheet.openings[n].outer)]) : [],
            )
        })
      : []
  }
  return kindOf(host)
    .prints(host, { ...world, flat: true, quick: true })
    .flatMap(print => (print.bits ? [] : printedRings(print)))
}

export const regionFrom = (rings: readonly Ring[]): Polygon[] => regionOf(rings, 'nonzero')

/** A closed outline in even steps. */
export function evenly(ring: Ring): Point[] {
  const line = pointsOf(ring)
  const n = Math.max(12, Math.round(lengthOf(line, true) / 0.9))
  return stationsAt(
    line,
    Array.from({ length: n }, (_, i) => i / n),
    true,
  ).map(s => s.at)
}

/** The pulls of a line around something, on the skin. */
export function aroundSpines(
  shape: AroundId,
  source: Source,
  value: Params,
  brush: BrushId,
  asking: string,
  world: World,
): Spine[] {
  const rings = sourceRings(source, asking, world)
  const thick = widthAt(brush, value.press! / 100)
  const thin = BRUSHES[brush].least
  if (shape === 'outline') {
    const print = regionFrom(rings)
    const away = value.distance! + thick / 2
    return offset(print, away).map(poly => {
      const line = awayOnSkin(evenly(poly.outer), print, away, world.ground.surface)
      // Thicker where it turns toward the ground: a line of one width looks printed.
      return {
        points: line,
        closed: true,
        widths: line.map(
          (_, i) =>
            thin + (thick - thin) * (0.62 + 0.38 * Math.sin(((2 * Math.PI * i) / line.length) * 2 + 1)),
        ),
      }
    })
  }
  const host =
    source.use === 'step'
      ? (world.steps as readonly Step[] | undefined)?.find(s => s.id === source.step)
      : undefined
  const anchor = host ? kindOf(host).anchor(host) : null
  return regionFrom(rings).map((poly, n): Spine => {
    const grown = value.distance ? (offset([poly], value.distance)[0] ?? poly) : poly
    const line = awayOnSkin(evenly(grown.outer), [poly], value.distance!, world.ground.surface)
    const middle = ringCentroid(poly.outer)
    // On the other side of the face than its host, it is a mirror image.
    const mirror =
      anchor !== null &&
      Math.abs(anchor[0]) > 3 &&
      host?.twin.rule !== 'turn' &&
      Math.sign(middle[0]) !== Math.sign(anchor[0])
    const wanted = mirror ? -value.side! : value.side!
    const turn = (q: Point) => Math.abs(((bearing(middle, q) - wanted + 540) % 360) - 180)
    const start = line.reduce((best, q, i) => (turn(q) < turn(line[best]!) ? i : best), 0)
    const half = Math.round((line.length * value.share!) / 200)
    const run = Array.from(
      { length: 2 * half + 1 },
      (_, k) => line[(((start + k - half) % line.length) + line.length) % line.length]!,
    )
    const jag = value.jag! / 100
    const taper = thinThickThin(thick, 0.15)
    return {
      points: run,
      widths: run.map(
        (_, k) =>
          taper(k / Math.max(1, run.length - 1)) * (1 - jag * (0.45 + 0.45 * jitter(Math.floor(k / 2), n))),
      ),
    }
  })
}
