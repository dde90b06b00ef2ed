import {
  anchorOf,
  isBase,
  isKind,
  isSparkle,
  laysNothing,
  NO_TWIN,
  type MarkStep,
  type Source,
} from '#core/look'

/** What lies farther than this from the midline gets a twin, mm. */
const ASIDE = 6

/** What every fresh piece of brushwork may need: a twin, and something to go around. */
export function useFresh() {
  const session = useSession()
  const selection = useSelection()
  const scene = useScene()
  const settings = useSettings()
  const ways = useWays()
  const notices = useNotices()

  /** A twin by the painter's usual rule for what lies off the midline. */
  function twinned<S extends MarkStep>(step: S): S {
    const [x] = anchorOf(step.points)
    return settings.twinNew && ways.now.symmetry !== 'lopsided' && scene.ground.face && Math.abs(x) > ASIDE
      ? { ...step, twin: { ...NO_TWIN, rule: ways.twinRule(scene.ground), own: null } }
      : step
  }
  /**
   * What a line goes around: the selected step, several together as one shape, else the last one that prints; null with a sentence when
   * there is none.
   */
  function sourceFor(what: string): Extract<Source, { use: 'step' | 'steps' }> | null {
    const { step } = selection
    const several = selection.steps.filter(s => !isSparkle(s) && !laysNothing(s))
    if (several.length > 1) return { use: 'steps', steps: several.map(s => s.id) }
    const own = step && !isSparkle(step) && !laysNothing(step) ? step : null
    const found = own ?? session.look!.steps.findLast(s => isKind('sheet', s) || isBase(s))
    if (!found) notices.refuse(`${what} yet: lay a base or a stencil first.`)
    return found ? { use: 'step', step: found.id, openings: null } : null
  }
  return { twinned, sourceFor }
}
