import { defineStore } from 'pinia'
import { sheetFromJson, type SheetJson } from '#core/formats'
import { prepared, type PreparedSheet } from '#core/stencil'
import { inQueue } from '~/utils/inQueue'
import type { StencilMeta, StencilNotes } from '~~/server/db/stencils'

/** As many shapes are asked for at once, so that the address stays short. */
const AT_ONCE = 100

const fetchShapes = (ids: readonly string[]): Promise<Record<string, SheetJson>> =>
  $fetch<Record<string, SheetJson>>('/api/stencils/shapes', { query: { ids: ids.join(',') } })

/** A sheet with what is noted of it now; its shape stays. */
const renoted = (
  shape: PreparedSheet,
  { name, kind, heading, groups, copies }: StencilMeta,
): PreparedSheet => ({ ...shape, name, kind, heading, groups, copies })

/** Browsers let a request outlive its page only while its body is small: 64 KiB with all others. */
const outlives = (notes: Partial<StencilNotes>): boolean => JSON.stringify(notes).length < 16_384

const sendNotes = (id: string, notes: Partial<StencilNotes>): Promise<StencilMeta> =>
  $fetch<StencilMeta>(`/api/stencils/${id}`, {
    method: 'PATCH',
    body: notes,
    keepalive: outlives(notes),
  })

const lostWords = (names: readonly string[]): string =>
  `${names.map(n => `"${n}"`).join(', ')} cannot be read any more, and is left out of the picture. Nothing else is touched.`

/** A shape as it was fetched, ready, with what is noted of its sheet. */
const readied = (about: StencilMeta, shape: SheetJson): PreparedSheet =>
  prepared({ ...about, axes: about.analysis?.axes, ...sheetFromJson(shape) })

/** What is known of each sheet, and which of them are in the drawer. */
function useSheets() {
  /** Every sheet that is known, those that were taken out and that looks may still use too. */
  const known = shallowRef<StencilMeta[]>([])
  /** The sheets that are in the drawer. */
  const list = computed(() => known.value.filter(s => s.deletedAt === null))
  /** Those that were taken out, the latest first. */
  const deleted = computed(() =>
    known.value.filter(s => s.deletedAt !== null).sort((a, b) => b.deletedAt!.localeCompare(a.deletedAt!)),
  )
  async function load(): Promise<void> {
    known.value = await $fetch<StencilMeta[]>('/api/stencils')
  }

  /** Takes a sheet out of the drawer; looks that use it keep it. */
  async function takeOut(id: string): Promise<void> {
    await $fetch<unknown, string>(`/api/stencils/${id}`, { method: 'DELETE' })
    await load()
  }
  async function bringBack(id: string): Promise<void> {
    await $fetch<unknown, string>(`/api/stencils/${id}/restore`, { method: 'POST' })
    await load()
  }

  const byId = computed(() => new Map(known.value.map(s => [s.id, s])))
  const find = (id: string) => byId.value.get(id)
  return { known, list, deleted, find, load, takeOut, bringBack }
}

/** The sheets of the collection: what is known of each, and the shapes of those that were asked for. */
export const useDrawer = defineStore('drawer', () => {
  const notices = useNotices()
  const { known, list, deleted, find, load, takeOut, bringBack } = useSheets()
  const shapes = shallowRef<ReadonlyMap<string, PreparedSheet>>(new Map())
  /** Sheets of the drawer whose shape is damaged: they are left out of pictures. */
  const lost = shallowRef<ReadonlySet<string>>(new Set())
  const pending = new Map<string, Promise<void>>()

  /** Fetches the shapes of some sheets; those that the drawer does not hold are passed over. */
  async function ensure(ids: Iterable<string>): Promise<void> {
    const wanted = [...new Set(ids)].filter(id => !shapes.value.has(id) && !lost.value.has(id))
    const missing = wanted.filter(id => !pending.has(id) && find(id))
    for (let i = 0; i < missing.length; i += AT_ONCE) {
      const some = missing.slice(i, i + AT_ONCE)
      const job = fetchSome(some).finally(() => some.forEach(id => pending.delete(id)))
      some.forEach(id => pending.set(id, job))
    }
    await Promise.all(wanted.map(id => pending.get(id)))
  }

  async function fetchSome(ids: string[]): Promise<void> {
    const fetched = await fetchShapes(ids)
    const next = new Map(shapes.value)
    for (const [id, shape] of Object.entries(fetched)) next.set(id, readied(find(id)!, shape))
    shapes.value = next
    lose(ids.filter(id => !(id in fetched)))
  }
  function lose(ids: readonly string[]): void {
    if (!ids.length) return
    lost.value = new Set([...lost.value, ...ids])
    notices.refuse(lostWords(ids.map(id => find(id)?.name ?? id)))
  }

  const send = inQueue()
  /**
   * Changes what is noted of a sheet. It is shown at once, so that a second change in quick succession builds
   * on the first, and sent one after the other, also when the page is left at once;
   * when the server refuses, what it has is shown again and the error is passed on.
   */
  async function change(id: string, notes: Partial<StencilNotes>): Promise<void> {
    put({ ...find(id)!, ...notes })
    try {
      const { answer, last } = await send(() => sendNotes(id, notes))
      if (last) put(answer)
    } catch (error) {
      await load()
      throw error
    }
  }

  function put(about: StencilMeta): void {
    const shape = shapes.value.get(about.id)
    known.value = known.value.map(s => (s.id === about.id ? about : s))
    if (shape) shapes.value = new Map(shapes.value).set(about.id, renoted(shape, about))
  }

  return { list, deleted, shapes, lost, load, ensure, change, takeOut, bringBack, find }
})
