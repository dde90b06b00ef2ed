import { nextTick } from 'vue'
import { tenth, type Point } from '#core/geometry'
import type { Placement } from '#core/skin'
import {
  featureSnaps,
  isBase,
  isKind,
  isMark,
  movedHandles,
  placementOf,
  rimSnaps,
  snapAt,
  snapPointsOf,
  stepAt,
  type SheetStep,
  type Snap,
  type Step,
} from '#core/look'
import { useShaping } from '~/composables/useShaping'
import { useScene } from '~/stores/scene'
import { useSelection } from '~/stores/selection'
import { useSession } from '~/stores/session'
import { useSettings } from '~/stores/settings'
import { useHeldSheet } from '../heldSheet'
import type { Ghosts, Grip, StageHand, Tool } from './tool'

/** A sheet pulled closer to the midline than this snaps onto it, mm, unless Alt is held. */
const SNAP = 1.2
/** Brushwork that is pulled by less than this stays, mm. */
const LEAST = 0.4

/** The ways in which an original goes when its twin is pulled: as in a mirror, or as by half a turn. */
const along = (twin: boolean, step: Step): Point =>
  !twin ? [1, 1] : step.twin.rule === 'turn' ? [-1, -1] : [-1, 1]

/** Closer than this an edge of what moves goes to a line of the face or to another print's rim, mm. */
const SNAP_EDGE = 1.6
/** So long a frame may look for more lines that a sheet can be drawn to, ms. */
const LOOK_MS = 2

/** What a sheet on the move is drawn to: lines are looked up while it moves, few a frame, so that none waits. */
function useSnapping(step: SheetStep) {
  const session = useSession()
  const scene = useScene()
  const world = { ...scene.world, quick: true }
  const lines = featureSnaps(world)
  const points = snapPointsOf(step, world)
  const pending = session.look!.steps.filter(s => s.id !== step.id)
  return (place: Placement): Snap | null => {
    const start = performance.now()
    while (pending.length && performance.now() - start < LOOK_MS)
      lines.push(...rimSnaps(pending.shift()!, world))
    return snapAt(points, lines, place, SNAP_EDGE, world)
  }
}

/** Carries a sheet along; a linked twin pulls its original along. */
function useMovingSheet(ghosts: Ghosts) {
  const settings = useSettings()
  const selection = useSelection()
  const held = useHeldSheet()
  return (step: SheetStep, twin: boolean, from: Point): Grip => {
    const own = twin ? step.twin.own : null
    selection.id = step.id
    selection.spot = null
    void nextTick(() => {
      selection.holdsTwin = own !== null
    })
    const [kx, ky] = along(twin && own === null, step)
    const start = held.atMiddle(own ?? placementOf(step))
    const snapping = useSnapping(step)
    /** Where it goes, and what drew it there. */
    const drawn = (at: Point): Point => {
      const found = settings.snap ? snapping({ ...start, at }) : null
      ghosts.snap.value = found?.to ?? null
      return found ? [tenth(at[0] + found.by[0]), tenth(at[1] + found.by[1])] : at
    }
    return {
      drag({ skin, alt }) {
        if (!skin || !selection.sheet) return
        const x = tenth(start.at[0] + kx * (skin[0] - from[0]))
        const y = tenth(start.at[1] + ky * (skin[1] - from[1]))
        const middle = Math.abs(x) < SNAP
        if (alt || middle) ghosts.snap.value = null
        const at: Point = alt ? [x, y] : middle ? [0, y] : drawn([x, y])
        ghosts.preview.value = held.laidAs(selection.sheet, { ...start, at })
      },
      release: () => held.settle('move', ghosts.preview.value),
    }
  }
}

/** Takes hold of what lies under the hand: selects it, and carries it along. */
export function stepTool({ ghosts, pickAt }: StageHand): Tool {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const shaping = useShaping()
  const moving = useMovingSheet(ghosts)

  function carrying(step: Step, twin: boolean, from: Point): Grip {
    if (!selection.ids.has(step.id)) selection.id = step.id
    selection.spot = null
    const marks = selection.steps.filter(isMark).filter(s => s.points.length)
    const [kx, ky] = along(twin, step)
    let by: Point | null = null
    // What follows something else has nothing to be carried by, but the hand is down all the same.
    if (!marks.length) return {}
    return {
      drag({ skin }) {
        if (!skin) return
        const dx = kx * (skin[0] - from[0])
        const dy = ky * (skin[1] - from[1])
        if (Math.hypot(dx, dy) <= LEAST) return
        by = [dx, dy]
        ghosts.shaped.value = marks.map(s => ({
          ...s,
          points: movedHandles(s.points, ([x, y]) => [x + dx, y + dy]),
        }))
      },
      release(to) {
        if (by) shaping.shift(...by)
        // A tap on the base that is held picks the spot for the next sheet, as one beside it does.
        else if (isBase(marks[0]!)) pickAt(to)
      },
    }
  }

  return {
    press({ skin, shift, ctrl }) {
      const { look } = session
      const found = skin && stepAt(look!.steps, selection.sheet, selection.steps, scene.world, skin)
      if (!found) return null
      const { step, twin } = found
      if (shift || ctrl) {
        selection.also(step.id)
        return 'done'
      }
      return isKind('sheet', step) ? moving(step, twin, skin) : carrying(step, twin, skin)
    },
  }
}
