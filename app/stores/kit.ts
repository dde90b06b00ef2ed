import { defineStore } from 'pinia'
import type { Ref } from 'vue'
import { cakeRefOf, refOf } from '#core/look'
import type { Paint, Readings } from '#core/paint'
import type { KeptReadings } from '~~/server/db/readings'

/** The painter's own readings, as the server keeps them. */
function useReadings() {
  const readings = shallowRef<KeptReadings>({ edges: [], tools: [] })
  /** Fetches the readings again, where the room or the log has changed them. */
  async function readAgain(): Promise<void> {
    readings.value = await $fetch<KeptReadings>('/api/readings')
  }
  /** Keeps a reading of the ladder or of a tool, or takes one back. */
  const read = async <K extends 'edges' | 'tools'>(of: K, reading: Readings[K][number]): Promise<void> => {
    readings.value = await $fetch<KeptReadings>(`/api/readings/${of}`, { method: 'POST', body: reading })
  }
  const unread = async (of: 'edges' | 'tools', id: number): Promise<void> => {
    readings.value = await $fetch<KeptReadings>(`/api/readings/${of}/${id}`, { method: 'DELETE' })
  }
  /** Lets films dry as in a room that the server has not heard of: so many times as long as usual. */
  function dryAs(driesBy: number): void {
    readings.value = { ...readings.value, driesBy }
  }
  return { readings, readAgain, dryAs, read, unread }
}

/** Strip cakes that are cut out of other paints. */
function useMade(paints: Ref<Paint[]>) {
  /** Takes in paints as they are now on the server. */
  function takeIn(changed: readonly Paint[]): void {
    const now = new Map(changed.map(p => [p.id, p]))
    paints.value = paints.value.map(p => now.get(p.id) ?? p)
  }
  /** Tells the house that a strip cake is made; returns the paints that changed, as they were. */
  async function made(id: string): Promise<Paint[]> {
    const changed = await $fetch<Paint[]>(`/api/paints/${id}/made`, { method: 'POST' })
    const were = changed.flatMap(p => paints.value.find(was => was.id === p.id) ?? [])
    takeIn(changed)
    return were
  }
  /** Puts several paints back as they were. */
  const putBack = async (were: readonly Paint[]): Promise<void> =>
    takeIn(await $fetch<Paint[]>('/api/paints', { method: 'PUT', body: were }))
  return { made, putBack }
}

/** The paints of the kit, and the painter's own readings of tools. */
export const useKit = defineStore('kit', () => {
  const paints = shallowRef<Paint[]>([])
  const { readings, readAgain, dryAs, read, unread } = useReadings()
  async function load(): Promise<void> {
    ;[paints.value, readings.value] = await Promise.all([
      $fetch<Paint[]>('/api/paints'),
      $fetch<KeptReadings>('/api/readings'),
      useSparkles().load(),
    ])
  }
  const byId = computed(() => new Map(paints.value.map(p => [p.id, p])))
  const find = (id: string) => byId.value.get(id)
  /** Single colours, and split cakes. */
  const singles = computed(() => paints.value.filter(p => p.strips.length === 0))
  const cakes = computed(() => paints.value.filter(p => p.strips.length > 1))

  async function save(paint: Omit<Paint, 'id'>, id: string | null): Promise<Paint> {
    const saved =
      id === null
        ? await $fetch<Paint>('/api/paints', { method: 'POST', body: paint })
        : await $fetch<Paint>(`/api/paints/${id}`, { method: 'PUT', body: paint })
    paints.value = id === null ? [...paints.value, saved] : paints.value.map(p => (p.id === id ? saved : p))
    return saved
  }
  async function remove(id: string): Promise<void> {
    await $fetch(`/api/paints/${id}`, { method: 'DELETE' })
    paints.value = paints.value.filter(p => p.id !== id)
  }
  /** Puts a paint that was deleted back under its id, so that looks know it again. */
  async function bringBack({ id, ...paint }: Paint): Promise<void> {
    const back = await $fetch<Paint>(`/api/paints/${id}`, { method: 'PUT', query: { back: '' }, body: paint })
    paints.value = [...paints.value, back]
  }
  const { made, putBack } = useMade(paints)
  return {
    paints,
    readings,
    made,
    putBack,
    singles,
    cakes,
    load,
    readAgain,
    dryAs,
    find,
    refOf,
    cakeRefOf,
    save,
    remove,
    bringBack,
    read,
    unread,
  }
})
