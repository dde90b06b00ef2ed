import { config, enableAutoUnmount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, vi } from 'vitest'

// What Nuxt gives every page, as far as the components under test use it.
vi.stubGlobal('navigateTo', vi.fn())
vi.stubGlobal('useHead', vi.fn())
// Tells which pages of the browser are alive; there is this one alone.
Object.defineProperty(navigator, 'locks', {
  value: { request: () => new Promise(() => {}), query: () => Promise.resolve({ held: [], pending: [] }) },
})
// The workers are of the browser: here their work is done on the spot.
vi.mock('../../app/composables/usePainter', async original => {
  const { painter } = await import('./painter')
  return {
    ...(await original<object>()),
    usePainter: () => painter,
    canvasOf: () => ({
      toDataURL: () => 'data:,',
      toBlob: (take: (blob: Blob) => void) => take(new Blob()),
    }),
  }
})

// What Vue warns of is a fault that a built page keeps to itself.
config.global.config.warnHandler = message => {
  throw new Error(`[Vue warn] ${message}`)
}
config.global.stubs = {
  NuxtLink: { props: ['to'], template: '<a :href="to"><slot /></a>' },
  // Both are drawn on a canvas, which this page has none of.
  WorthChart: true,
  OpeningStage: true,
}
config.global.directives = {
  tip: (el: HTMLElement, { value }: { value?: string }) => {
    if (value) el.title = value
  },
  kept: (el: HTMLInputElement, { value }: { value?: unknown }) => {
    el.value = String(value ?? '')
  },
}

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})
enableAutoUnmount(afterEach)
