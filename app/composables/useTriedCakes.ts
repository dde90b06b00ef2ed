import { useDebounceFn, useLocalStorage, useRefHistory } from '@vueuse/core'
import { nanoid } from 'nanoid'
import type { Ref } from 'vue'
import { MOST_TRIED, sampleLook, SEEN, STRIP_WIDTH, type TriedCake, type Trial } from '#core/cake'
import type { Strip } from '#core/paint'

/** Pixels to the millimetre of a sample's picture. */
const PX_PER_MM = 4
/** What is changed is kept on the server after this long, ms. */
const KEPT_AFTER = 500
const MOST_BACK = 60
/** Until this is done the server may know less than the page did. */
let kept: Promise<void> = Promise.resolve()

/** How samples are tried, as it is chosen on the page. */
type TrialChoice = { -readonly [K in keyof Trial]: Trial[K] }

/** The strip cakes that are tried side by side: what they are, how they are kept, and what each paints. */
export function useTriedCakes() {
  const cakes = ref<TriedCake[]>([])
  /** The cake to which a pressed paint goes. */
  const chosen = ref<string | null>(null)
  const trial = useLocalStorage<TrialChoice>('janusform-cake-trial', {
    brush: 'flat19',
    from: 0,
    soft: false,
    skin: '#d3a27c',
  })
  const failed = ref<string[]>([])
  const history = useRefHistory(cakes, { deep: true, capacity: MOST_BACK })
  ownHistory()
  const keeping = useKeeping(cakes, failed)
  const pictures = useSamplePictures(cakes, trial, failed)

  async function load(): Promise<void> {
    await kept
    cakes.value = await $fetch<TriedCake[]>('/api/settings/cakes')
    chosen.value = cakes.value[0]?.id ?? null
    await nextTick()
    history.clear()
    keeping.begin()
  }
  /** Another cake to try, from some strips; it stands beside the one that it comes from. */
  function add(strips: readonly Strip[], name?: string, beside: string | null = null): void {
    if (cakes.value.length >= MOST_TRIED) return
    const words = name ?? `Sample ${cakes.value.length + 1}`
    const cake: TriedCake = { id: nanoid(8), name: words, strips: strips.map(s => ({ ...s })) }
    const at = cakes.value.findIndex(c => c.id === beside)
    cakes.value.splice(at < 0 ? cakes.value.length : at + 1, 0, cake)
    chosen.value = cake.id
  }
  function remove(id: string): void {
    cakes.value = cakes.value.filter(c => c.id !== id)
    if (chosen.value === id) chosen.value = cakes.value[0]?.id ?? null
  }
  return { cakes, chosen, trial, pictures, failed, history, load, add, remove }
}

/** Keeps on the server what changes, from when it has begun. */
function useKeeping(cakes: Ref<TriedCake[]>, failed: Ref<string[]>) {
  let begun = false
  let changed = false
  async function keep(): Promise<void> {
    if (!changed) return
    changed = false
    try {
      await $fetch('/api/settings/cakes', { method: 'PUT', body: plain(cakes.value) })
      failed.value = []
    } catch (error) {
      changed = true
      failed.value = sentencesOf(error)
    }
  }
  const keepNow = () => {
    kept = kept.then(keep)
  }
  const keepSoon = useDebounceFn(keepNow, KEPT_AFTER)
  watch(
    cakes,
    () => {
      if (!begun) return
      changed = true
      void keepSoon()
    },
    { deep: true },
  )
  onScopeDispose(keepNow)
  return {
    begin: () => {
      begun = true
    },
  }
}

/** What each cake paints, as picture addresses by their ids: only what changed is painted anew. */
function useSamplePictures(cakes: Ref<TriedCake[]>, trial: Ref<Trial>, failed: Ref<string[]>) {
  const painter = usePainter()
  const kit = useKit()
  const pictures = shallowRef<ReadonlyMap<string, string>>(new Map())
  /** Pictures by what they were painted from. */
  let painted: ReadonlyMap<string, string> = new Map()
  const paint = newestOnly(async () => {
    const wished = cakes.value
      .filter(c => c.strips.length)
      .map(({ id, strips }) => ({
        id,
        look: sampleLook(strips, trial.value),
        key: JSON.stringify([strips, trial.value]),
      }))
    const missing = wished.filter(c => !painted.has(c.key))
    try {
      const fresh = await painter.samples(
        missing.map(c => c.look),
        SEEN,
        PX_PER_MM,
      )
      const found = new Map(painted)
      missing.forEach((c, i) => found.set(c.key, lying(canvasOf(fresh[i]!)).toDataURL()))
      // What is no longer shown is forgotten.
      painted = new Map(wished.map(c => [c.key, found.get(c.key)!]))
      pictures.value = new Map(wished.map(c => [c.id, painted.get(c.key)!]))
    } catch (error) {
      if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
    }
  })
  watch([cakes, trial], () => paint(), { deep: true })
  watch(
    () => kit.paints,
    () => {
      painted = new Map()
      paint()
    },
  )
  return pictures
}

/** A strip as it would be cut from a paint of the kit. */
export const stripOf = ({ id, name, colour }: { id: string; name: string; colour: string }): Strip => ({
  colour,
  name,
  paint: id,
  width: STRIP_WIDTH.fresh,
})

/** The arm lying, its hand to the right. */
function lying(canvas: HTMLCanvasElement): HTMLCanvasElement {
  const turned = document.createElement('canvas')
  turned.width = canvas.height
  turned.height = canvas.width
  const context = turned.getContext('2d')!
  context.translate(0, canvas.width)
  context.rotate(-Math.PI / 2)
  context.drawImage(canvas, 0, 0)
  return turned
}
