import { nanoid } from 'nanoid'
import {
  anchorOf,
  freshAround,
  freshDots,
  freshGem,
  freshGlitter,
  freshLine,
  freshLips,
  isBase,
  isKind,
  isSparkle,
  NO_TWIN,
  type AroundId,
  type GemStep,
  type GlitterStep,
  type MarkStep,
  type Source,
} from '#core/look'
import type { DotRun, ShapeId } from '#core/stroke'

/** What lies farther than this from the midline gets a twin, mm. */
const ASIDE = 6

/** Laying strokes, dots, gems, glitter and lips. */
export function useStrokes() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const settings = useSettings()
  const colour = useColour()
  const kit = useKit()
  const notices = useNotices()
  const { add } = useSteps()
  const focus = () => session.look!.focus

  /** A twin by the painter's usual rule for what lies off the midline. */
  function twinned<S extends MarkStep>(step: S): S {
    const [x] = anchorOf(step.points)
    return settings.twinNew && scene.ground.face && Math.abs(x) > ASIDE
      ? { ...step, twin: { ...NO_TWIN, rule: settings.twinRule(scene.ground), own: null } }
      : step
  }
  /** What a line goes around: the selected step, else the last one that prints; null with a sentence when there is none. */
  function sourceFor(what: string): Extract<Source, { use: 'step' }> | null {
    const { step } = selection
    const own = step && !isSparkle(step) ? step : null
    const found = own ?? session.look!.steps.findLast(s => isKind('sheet', s) || isBase(s))
    if (!found) notices.refuse(`${what} yet: lay a base or a stencil first.`)
    return found ? { use: 'step', step: found.id, openings: null } : null
  }

  function addLine(shape: ShapeId): void {
    const paint = colour.need()
    if (paint)
      add(
        twinned(freshLine(nanoid(10), shape, scene.nextSpot(), paint, scene.ground, focus())),
        'draw a stroke',
      )
  }
  function addAround(shape: AroundId): void {
    const paint = colour.need()
    const of = sourceFor('There is nothing to draw a line around')
    if (paint && of) add(freshAround(nanoid(10), shape, of, paint), 'draw a line around')
  }
  function addDots(run: DotRun | 'around'): void {
    const paint = colour.need()
    const of = run === 'around' ? sourceFor('There is nothing to set dots around') : null
    if (!paint || (run === 'around' && !of)) return
    add(twinned(freshDots(nanoid(10), run, scene.nextSpot(), of, paint, scene.ground, focus())), 'set dots')
  }
  const addGem = (cut: GemStep['cut']) =>
    add(twinned(freshGem(nanoid(10), scene.nextSpot(), cut)), 'set a gem')
  function addGlitter(area: GlitterStep['area']): void {
    const host = area === 'print' ? sourceFor('There is no print to strew glitter over') : null
    if (area === 'print' && !host) return
    const fresh = freshGlitter(nanoid(10), area, scene.nextSpot(), host?.step ?? null, scene.ground)
    add(twinned(fresh), 'strew glitter')
  }
  function addLips(): void {
    const paint = kit.singles.find(p => p.lipSafe) ?? kit.singles[0]
    if (!scene.ground.face) return notices.refuse(`There are no lips on a ${scene.ground.words}.`)
    if (paint) add(freshLips(nanoid(10), [kit.refOf(paint)]), 'paint the lips')
  }
  return { addLine, addAround, addDots, addGem, addGlitter, addLips }
}
