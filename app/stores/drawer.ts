import { defineStore } from 'pinia'
import { sheetFromJson, type SheetJson } from '#core/formats'
import type { Stencil } from '#core/stencil'
import type { StencilMeta } from '~~/server/db/stencils'

/** The sheets of the collection: what is known of each, and the shapes of those that were asked for. */
export const useDrawer = defineStore('drawer', () => {
  const list = shallowRef<StencilMeta[]>([])
  const shapes = shallowRef<ReadonlyMap<string, Stencil>>(new Map())
  const pending = new Map<string, Promise<void>>()

  async function load(): Promise<void> {
    list.value = await $fetch<StencilMeta[]>('/api/stencils')
  }

  /** Fetches the shapes of some sheets; those that the drawer does not hold are passed over. */
  async function ensure(ids: Iterable<string>): Promise<void> {
    await Promise.all([...new Set(ids)].filter(id => !shapes.value.has(id)).map((id) => {
      const about = list.value.find(s => s.id === id)
      if (!about) return
      const job = pending.get(id) ?? $fetch<SheetJson>(`/api/stencils/${id}/geometry`).then((json) => {
        shapes.value = new Map(shapes.value).set(id, { ...about, ...sheetFromJson(json) })
      }).finally(() => pending.delete(id))
      pending.set(id, job)
      return job
    }))
  }

  return { list, shapes, load, ensure, find: (id: string) => list.value.find(s => s.id === id) }
})
