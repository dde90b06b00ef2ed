import { modelOf } from '#core/skin'
import { groundFor, type Look } from '#core/look'
import type { HeadScene, Turn } from '~/components/bench/head/scene'
import type { TryFacts } from '~/workers/tries'

/** A painted try: its picture, and how wide it is on the skin, mm. */
export interface PaintedTry {
  readonly canvas: HTMLCanvasElement
  readonly wide: number
  /** What it is the picture of: any other look is of before, or of after. */
  readonly of?: Look
}

const today = (): string => new Date().toISOString().slice(0, 10)
/** px to the mm of the skin that a turned head wears. */
const WORN_PX = 3

/** The pictures of some tries, each as soon as it is painted, with what there is to weigh of them. */
export function useTryPictures(looks: () => readonly Look[], pxPerMm: () => number) {
  const painter = usePainter()
  const ways = useWays()
  const pictures = shallowRef<ReadonlyMap<string, PaintedTry>>(new Map())
  const facts = shallowRef<ReadonlyMap<string, TryFacts>>(new Map())
  /** How many are painted of those that are being painted; null when none is. */
  const done = ref<number | null>(null)
  const failed = ref<string[]>([])

  const paint = newestOnly(async () => {
    const list = looks()
    if (!list.length) return
    const px = pxPerMm()
    const told = { ways: ways.now, today: today() }
    done.value = 0
    try {
      await painter.sideBySide(list, px, told, (n, picture, weighed) => {
        const { id } = list[n]!
        const painted = { canvas: canvasOf(picture), wide: picture.width / px, of: list[n]! }
        pictures.value = new Map(pictures.value).set(id, painted)
        facts.value = new Map(facts.value).set(id, weighed)
        done.value = (done.value ?? 0) + 1
      })
      failed.value = []
    } catch (error) {
      if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
    }
    done.value = null
  })
  watch([looks, pxPerMm], () => paint(), { immediate: true })
  onBeforeUnmount(painter.stop)
  return { pictures, facts, done, failed, stop: painter.stop }
}

/**
 * The tries on heads that are turned together. One scene draws them all, one after the other.
 * @param turn null for the front, which needs no heads
 */
export function useTurnedTries(looks: () => readonly Look[], turn: () => Turn | null) {
  const painter = usePainter()
  const heads = shallowRef<ReadonlyMap<string, PaintedTry>>(new Map())
  const problem = ref('')
  const size = [420, 560] as const
  let worn = new Map<string, { look: Look; picture: Awaited<ReturnType<typeof painter.wrapped>> }>()
  let scene: HeadScene | null = null
  /** What the model in the scene was made of: tries mostly share it. */
  let modelled = ''
  const canvas = document.createElement('canvas')

  async function wear(): Promise<void> {
    for (const look of looks()) {
      // An arm and a board cannot be turned.
      if (look.canvas.kind !== 'face' || worn.get(look.id)?.look === look) continue
      worn.set(look.id, { look, picture: await painter.wrapped(look, WORN_PX) })
    }
  }
  const draw = newestOnly(async () => {
    const at = turn()
    if (!at) return
    try {
      const made = await import('~/components/bench/head/scene')
      scene ??= new made.HeadScene(canvas)
      await wear()
    } catch (error) {
      if (!(error instanceof GivenUp))
        problem.value = scene
          ? sentencesOf(error).join(' ')
          : 'This browser has no WebGL: heads cannot be turned here.'
      return
    }
    const drawn = new Map<string, PaintedTry>()
    for (const { look, picture } of worn.values()) {
      const key = JSON.stringify([look.canvas, look.skin])
      if (key !== modelled) {
        const ground = groundFor(look, pageMemo)
        scene.setColours(look.skin.colour, look.skin.hair)
        scene.setModel(modelOf(ground, look.skin.cut), ground.box)
        modelled = key
      }
      scene.setSkin(picture)
      scene.draw(at, ...size, 1)
      const copy = document.createElement('canvas')
      ;[copy.width, copy.height] = [canvas.width, canvas.height]
      copy.getContext('2d')!.drawImage(canvas, 0, 0)
      drawn.set(look.id, { canvas: copy, wide: size[0] })
    }
    heads.value = drawn
  })
  watch(looks, () => {
    worn = new Map([...worn].filter(([id, { look }]) => looks().some(l => l.id === id && l === look)))
  })
  watch([looks, turn], () => draw())
  onBeforeUnmount(() => scene?.dispose())
  return { heads, problem }
}
