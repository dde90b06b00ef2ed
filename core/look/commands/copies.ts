import { tenth, tenthPoint, wrapDegrees, type Point } from '../../geometry'
import { layOn } from '../../skin'
import { lengthOf } from '../../stroke'
import { copied, NO_TWIN } from '../document'
import { designMiddle, moveDrawings } from '../composition'
import { isKind, isMark, kindOf, movedLoops, type LineStep, type Step, type World } from '../kinds'
import { turnedHandles } from '../placement'
import { onKind, Refused, type Command } from './command'
import { ON_MIDLINE } from './twins'

/** Copies of steps, turned about a point of the skin by some degrees clockwise. */
function copiesTurned(
  chosen: readonly Step[],
  degrees: number,
  about: Point,
  { ground: { surface } }: World,
  newId: () => string,
): Step[] {
  const straight = layOn(surface, { at: about, tilt: 0, side: 'A' })
  const turned = layOn(surface, { at: about, tilt: degrees, side: 'A' })
  const map = (p: Point): Point => turned.point(straight.back(p))
  return chosen.map((step): Step => {
    const copy: Step = copied(step)
    Object.assign(copy, { id: newId(), label: `${step.label.slice(0, 52)}, turned` })
    if (isMark(copy)) copy.points = copy.points.map(p => tenthPoint(map(p)))
    if (isKind('sheet', copy)) {
      copy.at = tenthPoint(map(copy.at))
      copy.tilt = tenth(wrapDegrees(copy.tilt + degrees))
      copy.register = null
      moveDrawings(copy, map)
    } else if ('holes' in copy && copy.holes) copy.holes = movedLoops(copy.holes, map)
    copy.twin = { ...NO_TWIN, own: null }
    return copy
  })
}

/**
 * Copies of steps, turned about the middle of what they make up, put on top of them.
 * @param degrees clockwise on the skin
 * @param newId gives an id for each copy
 */
export const turnedCopy =
  (ids: ReadonlySet<string>, degrees: number, world: World, newId: () => string): Command =>
  draft => {
    const chosen = draft.steps.filter(s => ids.has(s.id))
    if (!chosen.length) return
    const about = designMiddle(chosen, world) ?? draft.focus
    draft.steps.push(...copiesTurned(chosen, degrees, about, world, newId))
  }

/**
 * Repeats steps four-fold on an arm, across its midline and along it at the height of the focal point: each gets
 * its mirror image as a twin, and so does a copy by half a turn. Refused on a face.
 */
export const fourFold =
  (ids: ReadonlySet<string>, world: World, newId: () => string): Command =>
  draft => {
    if (world.ground.face) throw new Refused('A face has two sides, not four: mirror it instead.')
    const chosen = draft.steps.filter(s => ids.has(s.id))
    const copies = copiesTurned(chosen, 180, [0, draft.focus[1]], world, newId)
    for (const s of [...chosen, ...copies]) {
      const at = kindOf<Step>(s).mayTwin(s) && kindOf<Step>(s).anchor(s)
      if (at && Math.abs(at[0]) > ON_MIDLINE) s.twin = { ...NO_TWIN, rule: 'midline', own: null }
    }
    draft.steps.push(...copies)
  }

/**
 * Makes a stroke like another, as framing strokes are evened by eye: as long, as thick, with the same brush and
 * hand. Where it lies, its way and its colour stay its own.
 */
export const likeThat = (step: LineStep, model: LineStep, world: World): Command => {
  if (step.shape !== model.shape)
    return () => {
      throw new Refused('Only strokes of one shape can be made alike.')
    }
  const own = lengthOf(step.points)
  const wanted = lengthOf(model.points)
  const by = own > 0 && wanted > 0 ? wanted / own : 1
  const points = turnedHandles(step.points, world, 0, by)
  return onKind('line', step.id, s => {
    const { params, brush, softened, times, pressed, fades } = copied(model)
    Object.assign(s, { params, brush, softened, points })
    for (const [name, value] of Object.entries({ times, pressed, fades }))
      if (value === undefined) Reflect.deleteProperty(s, name)
      else Reflect.set(s, name, value)
  })
}
