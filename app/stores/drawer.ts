import { defineStore } from 'pinia'
import { sheetFromJson, type SheetJson } from '#core/formats'
import type { Stencil } from '#core/stencil'
import type { StencilMeta, StencilNotes } from '~~/server/db/stencils'

/** As many shapes are asked for at once, so that the address stays short. */
const AT_ONCE = 100

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
    const wanted = [...new Set(ids)].filter(id => !shapes.value.has(id)), missing = wanted.filter(id => !pending.has(id) && find(id))
    for (let i = 0; i < missing.length; i += AT_ONCE) {
      const some = missing.slice(i, i + AT_ONCE), job = fetchShapes(some).finally(() => some.forEach(id => pending.delete(id)))
      some.forEach(id => pending.set(id, job))
    }
    await Promise.all(wanted.map(id => pending.get(id)))
  }

  async function fetchShapes(ids: string[]): Promise<void> {
    const found = await $fetch<Record<string, SheetJson>>('/api/stencils/shapes', { query: { ids: ids.join(',') } }), next = new Map(shapes.value)
    for (const [id, json] of Object.entries(found)) next.set(id, { ...find(id)!, ...sheetFromJson(json) })
    shapes.value = next
  }

  /** Changes what is noted of a sheet. */
  async function change(id: string, notes: Partial<StencilNotes>): Promise<void> {
    const about = await $fetch<StencilMeta>(`/api/stencils/${id}`, { method: 'PATCH', body: notes }), shape = shapes.value.get(id)
    list.value = list.value.map(s => s.id === id ? about : s)
    if (shape) shapes.value = new Map(shapes.value).set(id, { ...shape, name: about.name, kind: about.kind, heading: about.heading, groups: about.groups })
  }

  const find = (id: string) => list.value.find(s => s.id === id)
  return { list, shapes, load, ensure, change, find }
})
