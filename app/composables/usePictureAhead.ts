import type { Look } from '#core/look'
import type { LightId } from '#core/paint'
import { finenessOf, wholePicture } from '~/components/bench/stage/view'
import type { Update } from '~/workers/stagePicture'

/** A picture of the stage that was asked for before the stage stood. */
interface Ahead {
  readonly look: Look
  readonly fineness: number
  readonly light: LightId
  readonly answer: Promise<Update | null>
}

let ahead: Ahead | null = null

/**
 * The first picture of a look, asked for before the bench is laid out: that takes the page longer than the
 * painter needs to begin.
 */
export function usePictureAhead() {
  const session = useSession()
  const scene = useScene()
  const painter = usePainter()
  const settings = useSettings()
  /** px to the mm of the whole picture on the stage. */
  const finenessToCome = (): number => {
    const { width, height, ruler } = stageToCome()
    return finenessOf(wholePicture(width, height, ruler, scene.ground.box), window.devicePixelRatio || 1)
  }
  /** Gets the bare skin of the open look ready, while its sheets are on their way. */
  function head(): void {
    // What goes wrong is told by the picture that is asked for next.
    if (session.look) void painter.ready(session.look, finenessToCome()).catch(() => {})
  }
  /** Asks for the picture of the open look; done once the painter has been told of it. */
  async function begin(): Promise<void> {
    const { look } = session
    if (!look || !scene.loaded) return
    const fineness = finenessToCome()
    const { light } = settings
    ahead = { look, fineness, light, answer: painter.update(look, fineness, undefined, null, light) }
    // Told of by whoever takes it.
    ahead.answer.catch(() => {})
    // The worker hears of it after some promises; only then the page may begin what takes long.
    await new Promise(resolve => setTimeout(resolve))
  }
  /** The picture that was asked for, when it is of this very look and as fine as this; it is given once. */
  function take(look: Look, fineness: number): Promise<Update | null> | null {
    const taken =
      ahead?.look === look && ahead.fineness === fineness && ahead.light === settings.light
        ? ahead.answer
        : null
    ahead = null
    return taken
  }
  return { head, begin, take, finenessToCome }
}
