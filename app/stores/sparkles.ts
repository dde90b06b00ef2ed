import { defineStore } from 'pinia'
import { NO_SPARKLES, type Sparkles } from '#core/look'

/** Glitters and gems of the painter's own. */
export const useSparkles = defineStore('sparkles', () => {
  const all = shallowRef<Sparkles>(NO_SPARKLES)
  async function load(): Promise<void> {
    all.value = await $fetch<Sparkles>('/api/sparkles')
  }
  /** Keeps them as they are now; throws when the server does not take them. */
  async function keep(next: Sparkles): Promise<void> {
    all.value = await $fetch<Sparkles>('/api/sparkles', { method: 'PUT', body: next })
  }
  return { all, load, keep }
})
