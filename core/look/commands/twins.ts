import { tenth, tenthPoint, type Point } from '../../geometry'
import { halfTurnAbout } from '../composition'
import { copied, NO_TWIN, type TwinRule } from '../document'
import { exactTwin, kindOf, movedLoops, type MarkStep, type SheetStep, type Step, type World } from '../kinds'
import { jitter } from '../../stroke'
import { liesOf, movedHandles, twinMap } from '../placement'
import { movesOf, onKind, onMark, onStep, Refused, type Command } from './command'
import { addBehind } from './steps'

/**
 * Gives a step a twin by a rule, or takes it; a twin of its own place goes back to its rule. Refused on a
 * face when the rule is half a turn.
 * @param focus the focal point of the look, about which half a turn is made at first
 */
export const setTwin = (step: Step, rule: TwinRule, focus: Point, world: World): Command => {
  const turn = rule === 'turn'
  if (turn && world.ground.face)
    return () => {
      throw new Refused('Half a turn is for arms: on a face the other side is a mirror image.')
    }
  const about = turn ? halfTurnAbout(step, focus, world) : null
  return onStep(step.id, s => {
    if (kindOf<Step>(s).mayTwin(s)) s.twin = { ...NO_TWIN, rule, about, own: null }
  })
}

/**
 * Gives every step a twin that has none and may have one. On a face what lies on the midline needs none; on an
 * arm it is turned over to the other edge like all else.
 */
export const twinAll =
  (ids: ReadonlySet<string>, rule: TwinRule, world: World): Command =>
  draft => {
    const turn = rule === 'turn'
    let any = false
    for (const s of draft.steps) {
      const may = ids.has(s.id) && s.twin.rule === 'none' && kindOf<Step>(s).mayTwin(s)
      const at = may && kindOf<Step>(s).anchor(s)
      if (!at || (!turn && Math.abs(at[0]) < ON_MIDLINE)) continue
      s.twin = { ...NO_TWIN, rule, about: turn ? halfTurnAbout(s, draft.focus, world) : null, own: null }
      any = true
    }
    if (!any)
      throw new Refused('Nothing of it lies on one side alone: all of it has its twin, or needs none.')
  }
/** Moves the point about which a step's twin is turned by half a turn; all others with that point go along. */
export const moveHalfTurn = (id: string, at: Point): Command => {
  return draft => {
    const step = draft.steps.find(s => s.id === id)
    if (step?.twin.rule !== 'turn') return
    const [x, y] = step.twin.about ?? [0, 0]
    const to = tenthPoint(at)
    for (const s of draft.steps) {
      const [u, v] = s.twin.about ?? [0, 0]
      if (s.twin.rule === 'turn' && u === x && v === y) s.twin.about = to
    }
  }
}

/** Nearer to the midline than this a step lies on it, and has no other side, mm. */
export const ON_MIDLINE = 3

/** Lets the twin of a sheet go its own way from where it lies, or links it to its rule again. */
export const linkTwin = (step: SheetStep, linked: boolean, world: World): Command => {
  const exact = exactTwin(step, world)
  return onKind('sheet', step.id, s => {
    if (!exact || s.register) return
    const { at, tilt, side, grip = [0, 0] } = exact
    s.twin.own = linked ? null : { at: tenthPoint(at), tilt: tenth(tilt), side, grip: [grip[0], grip[1]] }
  })
}

/** As far off as a careful eye places a twin, mm and degrees (common practice: nobody would notice). */
const BY_EYE = { mm: 1.6, degrees: 2.5 } as const

/** Lets the twin of a sheet lie as it does when it is placed by eye: nearly where its rule puts it. */
export const twinByEye = (step: SheetStep, world: World): Command => {
  const exact = exactTwin(step, world)
  return onKind('sheet', step.id, s => {
    if (!exact || s.register) return
    const { at, tilt, side, grip = [0, 0] } = exact
    // The same sheet is off by the same amount each time.
    const off = (n: number) => jitter(n, step.at[0] + 3 * step.at[1])
    s.twin.own = {
      at: tenthPoint([at[0] + BY_EYE.mm * off(1), at[1] + BY_EYE.mm * off(2)]),
      tilt: tenth(tilt + BY_EYE.degrees * off(3)),
      side,
      grip: [grip[0], grip[1]],
    }
  })
}

/** Makes the twin of a step with handles a step of its own, right behind it, to be shaped by itself. */
export const freeTwin = (step: MarkStep, newId: string, { ground }: World): Command => {
  const lie = liesOf(step, ground)[1]
  return draft => {
    if (!lie) return
    const own = copied(step)
    Object.assign(own, {
      id: newId,
      label: `${step.label.slice(0, 50)}, twin`,
      points: movedHandles(lie.points, p => p),
      twin: { ...NO_TWIN, own: null },
    })
    movesOf(own).becomeTwin(own, step, lie, ground)
    const map = twinMap(ground, step.twin)
    if (map && 'holes' in own && own.holes) own.holes = movedLoops(own.holes, map)
    onMark(step.id, s => {
      s.twin = { ...NO_TWIN, own: null }
    })(draft)
    addBehind(step.id, own)(draft)
  }
}
