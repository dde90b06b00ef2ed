import { defineStore } from 'pinia'
import { sheetFromJson, type SheetJson } from '#core/formats'
import { prepared, type PreparedSheet } from '#core/stencil'
import type { StencilMeta, StencilNotes } from '~~/server/db/stencils'

/** As many shapes are asked for at once, so that the address stays short. */
const AT_ONCE = 100

/** The sheets of the collection: what is known of each, and the shapes of those that were asked for. */
export const useDrawer = defineStore('drawer', () => {
  const list = shallowRef<StencilMeta[]>([])
  const shapes = shallowRef<ReadonlyMap<string, PreparedSheet>>(new Map())
  const pending = new Map<string, Promise<void>>()

  async function load(): Promise<void> {
    list.value = await $fetch<StencilMeta[]>('/api/stencils')
  }

  /** Fetches the shapes of some sheets; those that the drawer does not hold are passed over. */
  async function ensure(ids: Iterable<string>): Promise<void> {
    const wanted = [...new Set(ids)].filter(id => !shapes.value.has(id))
    const missing = wanted.filter(id => !pending.has(id) && find(id))
    for (let i = 0; i < missing.length; i += AT_ONCE) {
      const some = missing.slice(i, i + AT_ONCE)
      const job = fetchShapes(some).finally(() => some.forEach(id => pending.delete(id)))
      some.forEach(id => pending.set(id, job))
    }
    await Promise.all(wanted.map(id => pending.get(id)))
  }

  async function fetchShapes(ids: string[]): Promise<void> {
    const found = await $fetch<Record<string, SheetJson>>('/api/stencils/shapes', {
      query: { ids: ids.join(',') },
    })
    const next = new Map(shapes.value)
    for (const [id, json] of Object.entries(found))
      next.set(id, prepared({ ...find(id)!, axes: find(id)!.analysis?.axes, ...sheetFromJson(json) }))
    shapes.value = next
  }

  let queue: Promise<unknown> = Promise.resolve(),
    waiting = 0
  /**
   * Changes what is noted of a sheet. It is shown at once, so that a second change in quick succession builds on the first, and sent one after the other;
   * when the server refuses, what it has is shown again and the error is passed on.
   */
  async function change(id: string, notes: Partial<StencilNotes>): Promise<void> {
    put({ ...find(id)!, ...notes })
    waiting++
    const job = queue.then(() => $fetch<StencilMeta>(`/api/stencils/${id}`, { method: 'PATCH', body: notes }))
    queue = job.catch(() => {})
    try {
      const about = await job
      if (--waiting === 0) put(about)
    } catch (error) {
      waiting--
      await load()
      throw error
    }
  }

  function put(about: StencilMeta): void {
    const shape = shapes.value.get(about.id)
    list.value = list.value.map(s => (s.id === about.id ? about : s))
    if (shape)
      shapes.value = new Map(shapes.value).set(about.id, {
        ...shape,
        name: about.name,
        kind: about.kind,
        heading: about.heading,
        groups: about.groups,
        copies: about.copies,
      })
  }

  const find = (id: string) => list.value.find(s => s.id === id)
  return { list, shapes, load, ensure, change, find }
})
