import { nanoid } from 'nanoid'
import { freshGem, freshGlitter, freshLips, onKind, type GemStep, type GlitterStep } from '#core/look'

/** Laying gems, glitter and lip colour. */
export function useSparkle() {
  const scene = useScene()
  const kit = useKit()
  const notices = useNotices()
  const session = useSession()
  const selection = useSelection()
  const ways = useWays()
  const { add } = useSteps()
  const { twinned, sourceFor } = useFresh()

  const addGem = (cut: GemStep['cut']) =>
    add(twinned(freshGem(nanoid(10), scene.nextSpot(), cut)), 'set a gem')
  /** Glitter over a stencil's print is strewn before the sheet is lifted, where that is the painter's way. */
  function beforeLifting(area: GlitterStep['area']): boolean {
    const { sheet } = selection
    if (area !== 'print' || !sheet || ways.now.glitter !== 'lifting' || selection.steps.length > 1)
      return false
    const changed = session.edit(
      'glitter before lifting',
      onKind('sheet', sheet.id, s => {
        s.passes.at(-1)!.glitter = true
      }),
    )
    if (changed)
      notices.tell('Strewn on the last colour layer, before the stencil is lifted: your way of working.')
    return changed
  }
  function addGlitter(area: GlitterStep['area']): void {
    if (beforeLifting(area)) return
    const follows = area === 'print' || area === 'rim'
    const host = follows ? sourceFor('There is no print to strew glitter over') : null
    if (follows && !host) return
    const [on, ...over] = host?.use === 'steps' ? host.steps : host ? [host.step] : []
    const fresh = freshGlitter(nanoid(10), area, scene.nextSpot(), on ?? null, scene.ground)
    const last = ways.now.glitter === 'last'
    const strewn = { ...fresh, ...(over.length && { over }), ...(last && { sort: 'gel' as const }) }
    add(twinned(strewn), 'strew glitter')
  }
  function addLips(): void {
    const paint = kit.singles.find(p => p.lipSafe) ?? kit.singles[0]
    if (!scene.ground.face) return notices.refuse(`There are no lips on a ${scene.ground.words}.`)
    if (paint) add(freshLips(nanoid(10), [kit.refOf(paint)]), 'paint the lips')
  }
  return { addGem, addGlitter, addLips }
}
