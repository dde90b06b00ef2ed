import { defineStore } from 'pinia'
import { pacesIn, type Run } from '#core/chair'
import type { KeptRun } from '~~/server/db/runs'

/** How paintings went: what is kept of each, and what it says of the painter's own pace. */
export const useLog = defineStore('log', () => {
  const kept = shallowRef<KeptRun[]>([])
  const runs = computed(() => kept.value.map(k => k.run))
  const paces = computed(() =>
    pacesIn(runs.value).sort((a, b) => b.count - a.count || a.task.localeCompare(b.task)),
  )
  /** What was deleted last, to be brought back. */
  const gone = shallowRef<Run | null>(null)
  async function load(): Promise<void> {
    kept.value = await $fetch<KeptRun[]>('/api/runs')
  }
  /** Keeps a run that was changed or typed in. */
  async function put(run: Run): Promise<void> {
    await $fetch(`/api/runs/${run.id}`, { method: 'PUT', body: { run } })
    await load()
  }
  async function remove(run: Run): Promise<void> {
    await $fetch(`/api/runs/${run.id}`, { method: 'DELETE' })
    gone.value = run
    await load()
  }
  async function restore(): Promise<void> {
    if (!gone.value) return
    await $fetch(`/api/runs/${gone.value.id}/restore`, { method: 'POST' })
    gone.value = null
    await load()
  }
  /** Takes runs from a file; all of them or none. */
  async function take(file: File): Promise<{ taken: number; known: number }> {
    const answer = await $fetch<{ taken: number; known: number }>('/api/runs', {
      method: 'POST',
      body: await file.text(),
    })
    await load()
    return answer
  }
  return { kept, runs, paces, gone, load, put, remove, restore, take }
})
