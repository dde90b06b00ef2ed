import { nanoid } from 'nanoid'
import {
  addBefore,
  addSteps,
  freshAround,
  freshDots,
  freshGuide,
  freshLine,
  freshOutline,
  isFollowing,
  type AroundId,
  type FollowingRun,
  type Guide,
} from '#core/look'
import type { DotRun, ShapeId } from '#core/stroke'

/** Laying strokes and dots. */
export function useStrokes() {
  const session = useSession()
  const scene = useScene()
  const colour = useColour()
  const selection = useSelection()
  const { add } = useSteps()
  const { twinned, sourceFor } = useFresh()
  const focus = () => session.look!.focus

  function addLine(shape: ShapeId): void {
    const paint = colour.need()
    if (paint)
      add(
        twinned(freshLine(nanoid(10), shape, scene.nextSpot(), paint, scene.ground, focus())),
        'draw a stroke',
      )
  }
  /** A shape that is filled in with a brush, drawn on by its handles. */
  function addFilled(straight: boolean): void {
    const paint = colour.need()
    if (!paint) return
    const fresh = freshOutline(nanoid(10), 'Filled shape', scene.nextSpot(), [paint], scene.ground)
    add(twinned({ ...fresh, straight, brush: 'round4' }), 'fill a shape')
  }
  function addAround(shape: AroundId): void {
    const paint = colour.need()
    const of = sourceFor('There is nothing to draw a line around')
    if (paint && of) add(freshAround(nanoid(10), shape, of, paint), 'draw a line around')
  }
  function addDots(run: DotRun | FollowingRun): void {
    const paint = colour.need()
    const of = isFollowing(run) ? sourceFor('There is nothing to set dots on') : null
    if (!paint || (isFollowing(run) && !of)) return
    add(twinned(freshDots(nanoid(10), run, scene.nextSpot(), of, paint, scene.ground, focus())), 'set dots')
  }
  /** A mark to go by comes before what is in hand: it is what that is placed by. */
  function addGuide(form: Guide['form']): void {
    const guide = freshGuide(nanoid(10), form, scene.nextSpot(), scene.ground)
    const before = selection.id
    if (session.edit('mark a place', before ? addBefore(before, guide) : addSteps([guide])))
      selection.id = guide.id
  }
  return { addGuide, addFilled, addLine, addAround, addDots }
}
