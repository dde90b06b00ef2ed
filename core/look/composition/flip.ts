import { boxOf, EMPTY_BOX, tenth, tenthPoint, wrapDegrees, type Point } from '../../geometry'
import { NO_TWIN } from '../document'
import { isMark, kindOf, ofKind, placementOf, printedMiddle, type Step, type World } from '../kinds'
import { atSoThat, flippedHandles, liesAt } from '../placement'

/**
 * Turns steps over together, as their mirror image about the upright through their middle. Sheets are flipped
 * to their other side, and a dark edge that looked outward goes on looking outward. The steps are changed in
 * place.
 * @param from what is outward of: the focal point
 */
export function flipTogether(steps: readonly Step[], world: World, from: Point): void {
  const marks = steps.filter(isMark).filter(s => s.points.length)
  const sheets = ofKind('sheet', steps)
  const middles = sheets.map(s => printedMiddle(s, world))
  const own = sheets.map((s, i) => liesAt(middles[i]!, placementOf(s), world.ground))
  // Shapes that are left free are turned over with what they are left free in.
  const held = marks.flatMap(s => ('holes' in s && s.holes ? [s.holes] : []))
  const mirrored = flippedHandles([...marks.flatMap((s): Point[] => s.points), ...own], world, held.flat(2))
  let k = 0
  for (const step of marks) {
    const points = mirrored.slice(k, (k += step.points.length))
    const { moves } = kindOf<Step>(step)
    moves.mirror(step, points, from)
    moves.reshape(step, points, world.ground)
  }
  let h = k + sheets.length
  for (const loops of held)
    for (const loop of loops) loop.splice(0, loop.length, ...mirrored.slice(h, (h += loop.length)))
  sheets.forEach((step, i) => {
    const side = step.side === 'A' ? ('B' as const) : ('A' as const)
    const tilt = tenth(wrapDegrees(-step.tilt))
    const at = atSoThat(middles[i]!, mirrored[k + i]!, { side, tilt }, world.ground)
    Object.assign(step, { side, tilt, grip: [0, 0], register: null, at })
  })
}

/** A step by itself, its twin left out. */
const withoutTwin = <S extends Step>(step: S): S => ({ ...step, twin: NO_TWIN })

/**
 * The middle of everything that a look paints, twins left out, mm on the skin; null when it paints nothing.
 */
export function designMiddle(steps: readonly Step[], world: World): Point | null {
  const box = steps
    .flatMap(s => {
      const single = withoutTwin(s)
      return kindOf(single).boxes(single, world)
    })
    .reduce((b, o) => boxOf(Float64Array.of(o.minX, o.minY, o.maxX, o.maxY), b), { ...EMPTY_BOX })
  return Number.isFinite(box.minX)
    ? [tenth((box.minX + box.maxX) / 2), tenth((box.minY + box.maxY) / 2)]
    : null
}

/** Nearer to its own middle than this a half turn would lay a step upon itself, mm. */
const UPON_ITSELF = 6

/**
 * The point about which a step is turned by half a turn at first: the focal point, which is shown and stays where it
 * is; for what lies there itself the arm's middle line at its height, so that its twin goes to the other edge, and
 * for what lies on that line the middle of the arm.
 */
export function halfTurnAbout(step: Step, focus: Point, world: World): [number, number] {
  const own = designMiddle([step], world) ?? [0, 0]
  const clear = (p: Point) => Math.hypot(p[0] - own[0], p[1] - own[1]) > UPON_ITSELF
  const about = [focus, [0, own[1]] as Point, [0, 0] as Point].find(clear) ?? [0, 0]
  return tenthPoint(about)
}
