import { bearing, clockwise, distance, mix, radians, ringOf, type Point, type Ring } from '../../../geometry'
import { filmOf, opacityOf, takesUpOf, TOOLS } from '../../../paint'
import { layOn, railsOf, ribbons } from '../../../skin'
import { mapSpine, pathThrough, spine, stationsAt, lengthOf, type Spine } from '../../../stroke'
import { liesOf, onSkinBy, type Lie } from '../../placement'
import { freeOf } from '../leftFree'
import { textureOfTool, type Axis, type Print, type Rails } from '../print'
import { acrossTool, type Across } from '../toolLoad'
import { heldBy, toolIn, type World } from '../world'
import type { Pull } from './schema'

/** A part of the skin that the tool covers in one touch, with the way across its load and along its pull. */
interface Touch {
  readonly rings: readonly Ring[]
  readonly axis: Axis
  readonly rails: Rails | null
  /** Share of its thickness, 0 to 1. */
  readonly share: number
}

/** Points across a pull are thinned out to so many: more cannot be told apart. */
const MOST_STATIONS = 48

/** Half width of the blend of two strips as a tool leaves it, and once it is gone over (common practice). */
const MEET = { once: 0.035, soft: 0.16 } as const
/** Softness of edges that were gone over, against the tool's own rim. */
const SOFTER = 1.5
/** A loaded edge is pressed down: its rim is narrower than a dabbed one's (common practice). */
const PRESSED = 0.3

/** Thickness of the film that a pull leaves, mg/cm2. */
export const pullFilm = ({ tool, wetness, dabs }: Pull, world: World): number =>
  filmOf(toolIn(world, tool), wetness, dabs) * heldBy(world)

/** Every touch of the tool on the skin, its twin's after its own. */
const touchesOf = (step: Pull, world: World): Touch[] =>
  liesOf(step, world.ground).flatMap(lie => {
    switch (step.manner) {
      case 'drawn':
        return drawn(step, lie, world)
      case 'stamped':
        return stamped(step, lie, world)
      case 'turned':
        return turned(step, lie, world)
    }
  })

function fewer(s: Spine): Spine {
  const every = Math.max(1, Math.ceil(s.points.length / MOST_STATIONS))
  const keeps = (_: unknown, i: number) => i % every === 0 || i === s.points.length - 1
  return { ...s, points: s.points.filter(keeps), widths: s.widths.filter(keeps) }
}

/** The far end of the load lies to the right of the way; seen in a mirror it is the other side. */
const toTheRight = (dark: Pull['dark'], mirror: boolean): boolean => (dark === 'right') !== mirror

function drawn(step: Pull, lie: Lie, world: World): Touch[] {
  const { surface } = world.ground
  return onSkinBy(lie, world, h => [spine(pathThrough(h), () => step.width)], mapSpine).map((s): Touch => {
    const pull = fewer(s)
    const { left, right } = railsOf(surface, pull)
    const rails = toTheRight(step.dark, lie.mirror) ? { left, right } : { left: right, right: left }
    return { rings: ribbons(surface, pull).flat(), axis: { kind: 'across', rails }, rails, share: 1 }
  })
}

/** How deep a stamp is against its width: a petal's is a narrow leaf, a half moon's half a disc. */
const DEPTH: Partial<Record<Pull['tool'], number>> = { petal: 0.5, halfMoon: 0.5, point: 1, dauber: 1 }

/** The outline of a tool pressed down, about its middle, its loaded edge from left to right, mm. */
function footprint(tool: Pull['tool'], width: number): Ring {
  const depth = width * (DEPTH[tool] ?? 0.6)
  const n = 40
  const out = new Float64Array(2 * n)
  for (let i = 0; i < n; i++) {
    const a = (2 * Math.PI * i) / n
    const [x, y] = [Math.cos(a), Math.sin(a)]
    // A petal is pointed at both ends, a half moon straight below; the others are blocks with rounded corners.
    const square = tool === 'petal' || tool === 'point' || tool === 'dauber' ? 1 : 0.45
    const px = Math.sign(x) * Math.abs(x) ** square
    const py = tool === 'petal' ? Math.sign(y) * Math.abs(y) ** 1.35 : Math.sign(y) * Math.abs(y) ** square
    const flat = tool === 'halfMoon' && py > 0 ? 0.12 : 1
    out[2 * i] = (px * width) / 2
    out[2 * i + 1] = ((tool === 'halfMoon' ? py * flat * 2 + 0.9 : py) * depth) / 2
  }
  return out
}

/** How much of a stamp's depth lies between it and the next (common practice). */
const SIDE_BY_SIDE = 0.92

function stamped(step: Pull, lie: Lie, world: World): Touch[] {
  const shape = footprint(step.tool, step.width)
  const depth = step.width * (DEPTH[step.tool] ?? 0.6)
  const across = Math.abs(Math.cos(radians(step.angle)))
  const apart = SIDE_BY_SIDE * (across * depth + (1 - across) * step.width)
  const places = onSkinBy(
    lie,
    world,
    h => {
      const line = pathThrough(h)
      const count = Math.max(1, Math.round(lengthOf(line) / apart))
      return stationsAt(
        line,
        Array.from({ length: count + 1 }, (_, i) => i / count),
      )
    },
    (s, to) => {
      const at = to(s.at)
      const on = to([s.at[0] + s.along[0], s.at[1] + s.along[1]])
      return { at, along: [on[0] - at[0], on[1] - at[1]] as Point }
    },
  )
  const right = toTheRight(step.dark, lie.mirror)
  return places.map(({ at, along }, i): Touch => {
    // Up on the footprint is onward along the way.
    const tilt = bearing([0, 0], along) + (lie.mirror ? -step.angle : step.angle)
    const laid = layOn(world.ground.surface, { at, tilt, side: lie.mirror ? 'B' : 'A' }, world.quick)
    const w = step.width / 2
    const from = laid.point([right === !lie.mirror ? -w : w, 0])
    const to = laid.point([right === !lie.mirror ? w : -w, 0])
    const gone = places.length > 1 ? i / (places.length - 1) : 0
    return {
      rings: [laid.ring(shape)],
      axis: { kind: 'line', from, to },
      rails: null,
      share: 1 - (1 - step.ends) * gone,
    }
  })
}

/** Pieces of a full turn. */
const PIECES = 64

function turned(step: Pull, lie: Lie, world: World): Touch[] {
  const [pivot, edge] = lie.points
  const laid = layOn(world.ground.surface, { at: pivot!, tilt: 0, side: 'A' }, world.quick)
  const flat = laid.back(edge!)
  const radius = distance([0, 0], flat)
  const start = bearing([0, 0], flat)
  const way = lie.mirror ? -1 : 1
  const n = Math.max(4, Math.round((PIECES * step.sweep) / 360))
  const arc = Array.from({ length: n + 1 }, (_, i): Point => {
    const a = radians(start + (way * step.sweep * i) / n)
    return [radius * Math.sin(a), -radius * Math.cos(a)]
  })
  const whole = step.sweep >= 360
  const ring = Float64Array.from([...(whole ? [] : [[0, 0]]), ...(whole ? arc.slice(1) : arc)].flat())
  const inner = arc.map((): Point => pivot!)
  const outer = arc.map(laid.point)
  const rails = { left: inner, right: outer }
  const axis: Axis =
    step.dark === 'right'
      ? { kind: 'across', rails }
      : { kind: 'across', rails: { left: outer, right: inner } }
  return [{ rings: [laid.ring(ring)], axis, rails, share: 1 }]
}

function printOf(step: Pull, touch: Touch, load: Across, free: Pick<Print, 'free'>, world: World): Print {
  const film = pullFilm(step, world) * touch.share
  const rim = TOOLS[step.tool].rim * PRESSED
  const single = load.paints.length === 1
  return {
    rings: touch.rings,
    ...free,
    spread: null,
    paints: load.paints,
    axis: single ? null : touch.axis,
    strips: load.strips,
    stops: load.stops,
    meet: step.soft ? MEET.soft : MEET.once,
    thins: touch.rails && step.ends < 1 ? { rails: touch.rails, shares: [1, step.ends] } : undefined,
    film,
    opacity: opacityOf(film),
    softness: step.soft ? rim * SOFTER : rim,
    grain: 0.35,
    texture: textureOfTool(step.tool),
    wetness: step.wetness,
    charge: 1,
    meets: { dabs: step.dabs, takesUp: takesUpOf(step.tool) },
  }
}

/** A film for every touch of the tool, on both sides. */
export function printsOf(step: Pull, world: World): Print[] {
  const load = acrossTool(step.load, world)
  const free = freeOf(step, world.ground)
  return touchesOf(step, world).map(touch => printOf(step, touch, load, free, world))
}

/** Where some strips of a pull's load lie on the skin; all of it where its touches have no rails. */
export function stripRings(step: Pull, strips: readonly number[], world: World): Ring[] {
  const { strips: ends } = acrossTool(step.load, world)
  return touchesOf(step, { ...world, flat: true }).flatMap(({ rings, axis }) => {
    if (!ends || axis.kind !== 'across') return clockwise(rings)
    const { left, right } = axis.rails
    const at = (share: number) => left.map((l, i) => mix(l, right[i]!, share))
    return strips.flatMap(n =>
      ends[n] === undefined
        ? []
        : clockwise([ringOf([...at(n ? ends[n - 1]! : 0), ...at(ends[n]).reverse()])]),
    )
  })
}
