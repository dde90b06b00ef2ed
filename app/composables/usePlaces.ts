import { useChair } from '~/stores/chair'

/** Pixels to the mm of the first picture of a step, and of the one that stays. */
const FIRST_PX = 1
const PX = 4

/** A picture of the face after some steps, as an address of this page, with its pixels to the mm. */
export interface PlaceShown {
  readonly url: string
  readonly px: number
}

const blobOf = (canvas: HTMLCanvasElement): Promise<Blob | null> =>
  new Promise(resolve => canvas.toBlob(resolve))

/** Pictures of the look in the chair, by the steps that they show. */
const shown = shallowRef(new Map<string, PlaceShown>())
const failed = ref<string[]>([])
/** Lets go of all pictures, when another look comes into the chair. */
export function forgetPlaces(): void {
  shown.value.forEach(({ url }) => URL.revokeObjectURL(url))
  shown.value = new Map()
  failed.value = []
}

/** Pictures of the face after each step of what is in the chair: coarse at once, then fine, the next one ahead. */
export function usePlaces() {
  const chair = useChair()
  const painter = usePainter()
  /** Names what a picture shows: the steps up to it, in their order. */
  const keyOf = (count: number) => chair.order.slice(0, count).join()

  async function paint(count: number, px: number): Promise<void> {
    const key = keyOf(count)
    if ((shown.value.get(key)?.px ?? 0) >= px) return
    const picture = await painter.paint(chair.lookInOrder, px, count)
    const blob = await blobOf(canvasOf(picture))
    if (!blob) return
    const before = shown.value.get(key)
    shown.value = new Map(shown.value).set(key, { url: URL.createObjectURL(blob), px })
    if (before) URL.revokeObjectURL(before.url)
  }
  const work = newestOnly(async (count: number) => {
    try {
      await paint(count, FIRST_PX)
      await paint(count, PX)
      // The next one is there before it is asked for.
      if (count < chair.order.length) await paint(count + 1, PX)
      failed.value = []
    } catch (error) {
      if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
    }
  })
  return {
    failed,
    /** The picture after so many steps, as fine as it is by now; null before the first. */
    after: (count: number): PlaceShown | null => shown.value.get(keyOf(count)) ?? null,
    /** Asks for the picture after so many steps. */
    ask: (count: number): void => work(count),
  }
}
