import { nanoid } from 'nanoid'
import { freshGem, freshGlitter, freshLips, type GemStep, type GlitterStep } from '#core/look'

/** Laying gems, glitter and lip colour. */
export function useSparkle() {
  const scene = useScene()
  const kit = useKit()
  const notices = useNotices()
  const { add } = useSteps()
  const { twinned, sourceFor } = useFresh()

  const addGem = (cut: GemStep['cut']) =>
    add(twinned(freshGem(nanoid(10), scene.nextSpot(), cut)), 'set a gem')
  function addGlitter(area: GlitterStep['area']): void {
    const follows = area === 'print' || area === 'rim'
    const host = follows ? sourceFor('There is no print to strew glitter over') : null
    if (follows && !host) return
    const [on, ...over] = host?.use === 'steps' ? host.steps : host ? [host.step] : []
    const fresh = freshGlitter(nanoid(10), area, scene.nextSpot(), on ?? null, scene.ground)
    add(twinned(over.length ? { ...fresh, over } : fresh), 'strew glitter')
  }
  function addLips(): void {
    const paint = kit.singles.find(p => p.lipSafe) ?? kit.singles[0]
    if (!scene.ground.face) return notices.refuse(`There are no lips on a ${scene.ground.words}.`)
    if (paint) add(freshLips(nanoid(10), [kit.refOf(paint)]), 'paint the lips')
  }
  return { addGem, addGlitter, addLips }
}
