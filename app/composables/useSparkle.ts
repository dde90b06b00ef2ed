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
  /** Strews glitter on the last colour layer of the selected stencil, before that is lifted; or no longer. */
  function beforeLifting(): void {
    const { sheet } = selection
    if (!sheet) return notices.refuse('Select the stencil step on which glitter goes before it is lifted.')
    const on = !sheet.passes.at(-1)!.glitter
    const changed = session.edit(
      on ? 'glitter before lifting' : 'no glitter before lifting',
      onKind('sheet', sheet.id, s => {
        s.passes.at(-1)!.glitter = on
      }),
    )
    if (changed)
      notices.tell(
        on
          ? `Glitter goes on the last colour layer of "${sheet.label}" before it is lifted.`
          : `No glitter on "${sheet.label}" before it is lifted.`,
      )
  }
  function addGlitter(area: GlitterStep['area']): void {
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
  return { addGem, addGlitter, addLips, beforeLifting }
}
