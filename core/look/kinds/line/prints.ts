import type { Ring } from '../../../geometry'
import { brushFilm, opacityOf, TAKES_UP, wetBlend } from '../../../paint'
import { railsOf, ribbons } from '../../../skin'
import { BY_BRUSH, type LaidPaint, type Print } from '../print'
import { cakeStrips, laidPaint } from '../paints'
import type { World } from '../world'
import type { LineStep } from './schema'
import { sidesOf } from './sides'

/** Steps in which two colours on one brush run into each other, as shares of the second. */
const BLEND = [0, 0.04, 0.14, 0.32, 0.54, 0.75, 0.9, 0.97, 1]

/** One of the paints across a brush, with the share of the width at which it ends. */
interface Strip {
  readonly paint: LaidPaint
  readonly end: number
}

/** Light running into dark. */
function blend(light: LaidPaint, dark: LaidPaint): Strip[] {
  return BLEND.map((share, i) => ({
    paint: {
      optics:
        share <= 0 ? light.optics : share >= 1 ? dark.optics : wetBlend(light.optics, dark.optics, share),
      finish: share < 0.5 ? light.finish : dark.finish,
    },
    end: (i + 1) / BLEND.length,
  }))
}

/** Paints across the brush from its light end to its dark one. */
function stripsOf({ load }: LineStep, world: World): Strip[] {
  switch (load.kind) {
    case 'one':
      return [{ paint: laidPaint(load.paint, world), end: 1 }]
    case 'double':
      return blend(laidPaint(load.light, world), laidPaint(load.dark, world))
    case 'cake': {
      const { paints, ends } = cakeStrips(load.cake, world)
      return paints.map((paint, i) => ({ paint, end: ends[i]! }))
    }
  }
}

/** How much of the narrower of two strips runs into the other when they are gone over (common practice). */
const RUNS_INTO = 0.45
/** Shares of the second of two strips on the way from one to the other. */
const WAY = [0.2, 0.5, 0.8] as const

/** Strips that were gone over until they are soft: where two meet they run into each other. */
function softStrips(strips: readonly Strip[]): Strip[] {
  const begins = (i: number) => (i ? strips[i - 1]!.end : 0)
  const found: Strip[] = []
  strips.forEach(({ paint, end }, i) => {
    const next = strips[i + 1]
    if (!next) return void found.push({ paint, end })
    const half = (RUNS_INTO * Math.min(end - begins(i), next.end - end)) / 2
    found.push({ paint, end: end - half })
    WAY.forEach((share, n) =>
      found.push({
        paint: {
          optics: wetBlend(paint.optics, next.paint.optics, share),
          finish: share < 0.5 ? paint.finish : next.paint.finish,
        },
        end: end - half + (2 * half * (n + 1)) / WAY.length,
      }),
    )
  })
  return found
}

/** Softness of the edges of a stroke that was gone over, mm (common practice). */
const SOFTENED = 1.1

/** Share of the width that a strip goes on beneath the next, so that no skin shows between. */
const OVERLAP = 0.04

/** What the films of a stroke have in common. */
const filmLook = (step: LineStep, film: number, strips: number) => ({
  spread: null,
  axis: null,
  strips: null,
  film,
  opacity: opacityOf(film),
  softness: step.softened ? SOFTENED : strips > 1 ? 0.22 : 0.1,
  grain: step.softened ? 0.3 : strips > 1 ? 0.2 : 0.08,
  ...BY_BRUSH,
  ...(step.softened && { texture: 'sponge' as const }),
  meets: { dabs: step.times ?? 1, takesUp: TAKES_UP.brush },
})

/** A dry brush is grainier than a full one (common practice). */
const DRY_GRAIN = 0.55

/** The same for a brush that runs dry along its way: each pull has a thickness of its own along it. */
function fadingPrints(step: LineStep, across: readonly Strip[], film: number, world: World): Print[] {
  const { surface } = world.ground
  return sidesOf(step, world).flatMap(({ spines, mirror }) => {
    const right = (step.dark === 'right') !== mirror
    const cuts = [0, ...across.map(s => s.end)].map(e => (right ? e - 0.5 : 0.5 - e))
    return spines.flatMap(s => {
      const thins = { rails: railsOf(surface, s), shares: step.fades! }
      return ribbons(surface, s, cuts, OVERLAP).map((rings, i): Print => ({
        ...filmLook(step, film, across.length),
        rings,
        paints: [across[i]!.paint],
        thins,
        grain: DRY_GRAIN,
      }))
    })
  })
}

/** A film for each paint across the brush, on both sides. */
export function printsOf(step: LineStep, world: World): Print[] {
  const loaded = stripsOf(step, world)
  const across = step.softened ? softStrips(loaded) : loaded
  const film = brushFilm(step.brush) * (step.times ?? 1)
  if (step.fades) return fadingPrints(step, across, film, world)
  return sidesOf(step, world).flatMap(({ spines, mirror }) => {
    const rings: Ring[][] = across.map(() => [])
    const right = (step.dark === 'right') !== mirror
    const ends = [0, ...across.map(s => s.end)]
    const cuts = ends.map(e => (right ? e - 0.5 : 0.5 - e))
    for (const s of spines)
      ribbons(world.ground.surface, s, cuts, OVERLAP).forEach((r, i) => rings[i]!.push(...r))
    return across.map(({ paint }, i): Print => ({
      ...filmLook(step, film, across.length),
      rings: rings[i]!,
      paints: [paint],
    }))
  })
}
