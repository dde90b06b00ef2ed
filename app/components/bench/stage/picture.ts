import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import type { Look } from '#core/look'
import { canvasOf, usePainter } from '~/composables/usePainter'
import { usePictureAhead } from '~/composables/usePictureAhead'
import { useAnalysis } from '~/stores/analysis'
import { useDrawer } from '~/stores/drawer'
import { useKit } from '~/stores/kit'
import { useScene } from '~/stores/scene'
import { useSession } from '~/stores/session'
import { useSettings } from '~/stores/settings'
import { useMiddle, type NearPicture } from './middle'
import { useNearPicture, type NearWish } from './near'
import { patched, type StandingPicture } from './standing'
import { seenIn } from './view'

/** After so long the painter is told that the picture is being painted, ms. */
const LATE_MS = 500
/**
 * A whole picture that takes longer than this gets its middle first, ms. While the bench is laid out both cores of a
 * small machine are busy: begun sooner, it made looks of usual size stand later.
 */
const MIDDLE_AFTER_MS = 800

/**
 * What the stage shows: at some px/mm, once it has its size, and only the first steps while the build is
 * played.
 */
export interface PictureWish extends NearWish {
  readonly sized: Readonly<Ref<boolean>>
  readonly upTo: () => number | undefined
}

/** The look's last picture of the gallery; null when there is none. */
async function cardOf(id: string): Promise<HTMLImageElement | null> {
  const address = cardAddress(id)
  if (!address) return null
  const image = new Image()
  image.src = address
  try {
    await image.decode()
    return image
  } catch {
    return null
  }
}

/** What stands on the stage: nothing, the gallery's picture, a coarse painting, or the painting itself. */
export type Standing = 'nothing' | 'card' | 'coarse' | 'fine'

/**
 * What is shown of a look before it is painted.
 * @param painted whether it is painted by now
 */
function useFirstSight(painted: () => boolean, show: (picture: StandingPicture, as: Standing) => void) {
  const settings = useSettings()
  const light = () => settings.light
  const session = useSession()
  const scene = useScene()
  const painter = usePainter()
  const wanted = (id: string) => !painted() && session.look?.id === id

  /** Shows the look's last picture of the gallery. */
  async function firstCard(id: string): Promise<void> {
    const { box } = scene.ground
    const card = await cardOf(id)
    if (card && wanted(id)) show({ canvas: card, box }, 'card')
  }
  /** Shows a coarse painting; the fine one is asked for after it, and need not wait until it is shown. */
  function coarsely(look: Look): void {
    const { box } = scene.ground
    void painter.coarse(look, light()).then(
      coarse => wanted(look.id) && show({ canvas: canvasOf(coarse), box }, 'coarse'),
      () => {},
    )
  }
  return { firstCard, coarsely }
}

/** Whether something is going on, and whether for so long that it is told; only the newest counts. */
function useBusy() {
  const busy = ref(false)
  const slow = ref(false)
  let wanted = 0
  /** @param job hears whether something newer has begun meanwhile */
  async function during(job: (stale: () => boolean) => Promise<void>): Promise<void> {
    const mine = ++wanted
    busy.value = true
    const late = setTimeout(() => {
      slow.value = true
    }, LATE_MS)
    try {
      await job(() => mine !== wanted)
    } finally {
      clearTimeout(late)
      if (mine === wanted) slow.value = busy.value = false
    }
  }
  return { busy, slow, during }
}

/** Those parts of the picture that stand, from below. */
const standingOf = (parts: readonly Readonly<Ref<NearPicture | null>>[]) =>
  computed(() => parts.map(part => part.value).filter(part => part !== null))

/** What is said when the picture could not be painted. */
function sentenceOn(error: unknown): string {
  const what = error instanceof Error ? error.message : String(error)
  return `The picture could not be painted (${what}). The look itself is safe; reload the page to try again.`
}

/** Keeps the stage's picture up with the look. */
export function useStandingPicture({ fineness, sized, upTo, ...seen }: PictureWish) {
  const session = useSession()
  const scene = useScene()
  const analysis = useAnalysis()
  const painter = usePainter()
  const ahead = usePictureAhead()
  const kit = useKit()
  const drawer = useDrawer()
  const settings = useSettings()
  const picture = shallowRef<StandingPicture | null>(null)
  const { busy, slow, during } = useBusy()
  const problem = ref('')
  /** The number of the picture that stands there. */
  let have: number | null = null
  const standing = ref<Standing>('nothing')
  const show = (next: StandingPicture, as: Standing) => void ([picture.value, standing.value] = [next, as])

  const close = useNearPicture({ fineness, ...seen })
  const middle = useMiddle(MIDDLE_AFTER_MS)
  const parts = standingOf([middle.standing, close.near, close.middle])
  const { firstCard, coarsely } = useFirstSight(() => have !== null, show)

  /** @param stale whether something newer is wished for by now */
  async function paint(stale: () => boolean): Promise<void> {
    const look = session.look!
    const steps = upTo()
    const { box } = scene.ground
    // What is looked at comes first.
    if (have !== null) await close.paint(look, steps)
    if (stale()) return
    // A newer change makes the worker give this one up.
    const first = have === null && steps === undefined ? ahead.take(look, fineness.value) : null
    const asking = first ?? painter.update(look, fineness.value, steps, have, settings.light)
    const inView = have === null ? seenIn(seen.view.value, seen.size(), box) : null
    const painting = { look, steps, fineness: fineness.value }
    const answer = await (inView ? middle.before({ ...painting, seen: inView }, asking) : asking)
    if (!answer) return
    have = answer.picture
    show({ canvas: patched(picture.value?.canvas ?? null, answer), box }, 'fine')
    // A build that is played shows only some of the steps.
    if (steps === undefined) analysis.painted(look, answer.shows)
    problem.value = ''
  }
  async function repaint(): Promise<void> {
    // How fine the picture must be is known once the stage has its size.
    if (!session.look || !sized.value) return
    if (have === null && standing.value === 'nothing') await firstCard(session.look.id)
    if (!session.look) return
    if (!scene.loaded) return void painter.ready(session.look, fineness.value).catch(() => {})
    if (have === null && standing.value === 'nothing') coarsely(session.look)
    try {
      await during(paint)
    } catch (error) {
      problem.value = sentenceOn(error)
    }
  }
  const known = [() => kit.paints, () => kit.readings, () => drawer.shapes, () => settings.light]
  watch(
    [() => session.look, () => scene.loaded, sized, fineness, close.wish, upTo, ...known],
    () => void repaint(),
    {
      immediate: true,
    },
  )
  return { picture, parts, busy, slow, problem, standing }
}
