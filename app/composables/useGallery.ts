import { nanoid } from 'nanoid'
import { toast } from 'vue-sonner'
import type { Look } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'
import type { LookCardData } from '~~/server/utils/cards'

/** How often the gallery asks for pictures that are still to come, ms. */
const ASK_MS = 700
/** How long after the list what the bench is made of is fetched, ms: the pictures come first. */
const AFTER_MS = 1000
/** As many are asked for at once, so that the address stays short. */
const AT_ONCE = 100

const whole = (id: string) => $fetch<LookRecord>(`/api/looks/${id}`)
const post = (look: Look) => $fetch<LookRecord>('/api/looks', { method: 'POST', body: look })

/** The gallery's list; pictures that are being painted come in by themselves. */
function useList() {
  const looks = shallowRef<LookCardData[]>([])
  const failed = ref<string[]>([])
  const loading = ref(true)
  let timer: ReturnType<typeof setTimeout> | undefined
  /** How many lists were read so far. */
  let lists = 0

  function show(list: LookCardData[]): void {
    looks.value = list
    for (const { id, picture } of list) noteCard(id, picture)
  }
  /** Asks for the cards whose pictures are to come, until there are none. */
  async function follow(): Promise<void> {
    clearTimeout(timer)
    const ids = looks.value.flatMap(l => (l.awaits ? l.id : [])).slice(0, AT_ONCE)
    if (!ids.length) return
    const asked = lists
    try {
      const cards = await $fetch<LookCardData[]>('/api/looks/cards', { query: { ids: ids.join(',') } })
      // A list read meanwhile is newer than these cards, and follows its own.
      if (asked !== lists) return
      const fresh = new Map(cards.map(c => [c.id, c]))
      show(looks.value.map(l => fresh.get(l.id) ?? l))
    } catch {
      // Nobody answers just now: the pictures that stand there stay, and it is asked again.
    }
    timer = setTimeout(() => void follow(), ASK_MS)
  }
  async function load(): Promise<void> {
    try {
      const list = await $fetch<LookCardData[]>('/api/looks')
      lists++
      show(list)
      failed.value = []
      void follow()
    } catch (error) {
      failed.value = sentencesOf(error)
    }
    loading.value = false
    const newest = looks.value.find(l => !l.damaged)?.id
    void nextTick(() => getBenchReady(newest, () => gone, drawAhead))
  }
  let stopAhead = () => {}
  function drawAhead(): void {
    stopAhead()
    if (!gone) stopAhead = drawHeadsAhead(looks.value.filter(l => !l.damaged).map(l => l.id))
  }
  let gone = false
  onMounted(load)
  // As soon as something else is asked for: what is opened next waits for nothing that is done ahead.
  onBeforeRouteLeave(() => {
    gone = true
    stopAhead()
  })
  onBeforeUnmount(() => clearTimeout(timer))
  return { looks, failed, loading, load }
}

/**
 * Fetches what the bench is made of once the gallery stands and nobody is waiting, so that a look opens at once.
 * @param newest id of the look that is opened soonest
 * @param gone whether the gallery has been left meanwhile: whoever opens a look waits for nothing of this
 * @param then what is to be done after that
 */
function getBenchReady(newest: string | undefined, gone: () => boolean, then: () => void): void {
  const idle = window.requestIdleCallback ?? ((job: () => void) => setTimeout(job, 500))
  const get = async () => {
    if (gone()) return
    warmPainter()
    try {
      await import('~/components/bench/BenchRoom.vue')
      const { warmBench } = await import('~/utils/warmBench')
      if (newest && !gone()) await warmBench(newest)
    } catch {
      // What cannot be fetched or painted now is fetched and told of when a look is opened.
    }
    then()
  }
  setTimeout(() => idle(() => void get()), AFTER_MS)
}

/** The looks of the gallery, and what can be done with them. */
export function useGallery() {
  const { load, ...list } = useList()
  /** Runs a change of the gallery; what goes wrong is said, and the gallery is read again. */
  async function attempt(job: () => Promise<unknown>): Promise<void> {
    try {
      await job()
    } catch (error) {
      toast.error(sentencesOf(error).join(' '), { duration: 9000 })
    }
    await load()
  }
  const restore = (id: string) =>
    attempt(() => $fetch<unknown, string>(`/api/looks/${id}/restore`, { method: 'POST' }))

  const create = () => attempt(() => openNewLook())
  const duplicate = (id: string) =>
    attempt(async () => {
      const { look } = await whole(id)
      // A copy is a look of its own, no try of the other.
      await post({ ...look, id: nanoid(12), name: `${look.name.slice(0, 74)} copy`, family: undefined })
    })
  const rename = (id: string, name: string) =>
    attempt(async () => {
      const { look, version } = await whole(id)
      await $fetch<unknown, string>(`/api/looks/${id}`, {
        method: 'PUT',
        body: { base: version, look: { ...look, name } },
      })
    })
  const keep = (id: string) =>
    attempt(() => $fetch<unknown, string>(`/api/looks/${id}/keep`, { method: 'POST' }))
  const remove = ({ id, name }: LookCardData) =>
    attempt(async () => {
      await $fetch<unknown, string>(`/api/looks/${id}`, { method: 'DELETE' })
      tellUndoable(`${name} deleted`, () => restore(id))
    })
  const take = (file: File) =>
    attempt(async () => {
      const { look } = await $fetch<LookRecord>('/api/looks', {
        method: 'POST',
        body: await file.text(),
        headers: { 'content-type': 'application/json' },
      })
      toast(`${look.name} imported`)
    })

  return { ...list, load, create, duplicate, rename, keep, remove, take }
}
