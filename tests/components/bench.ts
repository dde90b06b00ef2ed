import { flushPromises, mount } from '@vue/test-utils'
import { vi } from 'vitest'
import type { Component } from 'vue'
import { sheetJson } from '#core/formats'
import { freshLook, NO_SPARKLES, sheetsOf, type Look, type Step } from '#core/look'
import { NO_READINGS } from '#core/paint'
import { analyse, summaryOf } from '#core/stencil'
import type { StencilMeta } from '../../server/db/stencils'
import { paints } from '../../demo/paints'
import { shelf } from '../../demo/shelf'
import { useSelection } from '../../app/stores/selection'
import { useSession } from '../../app/stores/session'
import { sheets } from '../unit/world'

const metas = new Map<string, StencilMeta>()
/** What the drawer knows of a stencil, as the server would tell it; each is measured once. */
function metaOf(id: string): StencilMeta {
  if (!metas.has(id)) metas.set(id, measured(id))
  return metas.get(id)!
}
function measured(id: string): StencilMeta {
  const { name, kind, tags, zones, heading } = shelf.find(s => s.id === id)!
  const sheet = sheets.get(id)!
  const analysis = analyse(sheet)
  const { width, height } = sheet
  const notes = { copies: 1, notes: '', material: 'mylar' as const, cleanedOn: null, groups: analysis.groups }
  return {
    ...{ id, name, kind, tags, zones, heading, width, height, ...notes },
    ...{ analysis: summaryOf(analysis), mendedFrom: null, photo: false, deletedAt: null },
  }
}

/** A server of one look, with the stencils that the look uses. */
function serve(look: Look): void {
  const ids = [...new Set(sheetsOf(look))]
  const answers: Record<string, () => unknown> = {
    [`/api/looks/${look.id}`]: () => ({ look, version: 1, savedAt: '2026-06-21T10:00:00.000Z' }),
    '/api/stencils': () => ids.map(metaOf),
    '/api/stencils/shapes': () => Object.fromEntries(ids.map(id => [id, sheetJson(sheets.get(id)!)])),
    '/api/paints': () => paints,
    '/api/readings': () => NO_READINGS,
    '/api/sparkles': () => NO_SPARKLES,
    '/api/settings/room': () => null,
  }
  const fetched = (path: string): Promise<unknown> => {
    const answer = answers[path]
    return answer ? Promise.resolve(answer()) : Promise.reject(new Error(`Nothing is served at ${path}.`))
  }
  vi.stubGlobal('$fetch', fetched)
}

/** Has the server keep a look of some steps; returns its id. */
export function serveLook(steps: readonly Step[], more: Partial<Look> = {}): string {
  const look: Look = { ...freshLook('bench', 'On the bench'), ...more, steps: [...steps] }
  serve(look)
  return look.id
}

/** Opens a look of some steps on the bench; the stores hold it as they do on the page. */
export async function openLook(steps: readonly Step[], more: Partial<Look> = {}): Promise<void> {
  await useSession().open(serveLook(steps, more))
  useSelection().id = steps[0]?.id ?? null
  await flushPromises()
}

/** The look as it is now. */
export const lookNow = (): Look => useSession().look!

/** Puts a component on a page of its own. */
export const shown = <C extends Component>(component: C, props: Record<string, unknown> = {}) =>
  mount(component as Component, { props, attachTo: document.body })
