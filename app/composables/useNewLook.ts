import { nanoid } from 'nanoid'
import type { LookRecord } from '~~/server/db/looks'

let creating = false

/**
 * Makes a new look and opens it on the bench. Pressed twice, it is still one look.
 * @param query what the bench is told with it
 */
export async function openNewLook(name = 'New look', query: Record<string, string> = {}): Promise<void> {
  if (creating) return
  creating = true
  try {
    // What looks are made of comes when it is needed: the gallery itself is small.
    const { freshLook } = await import('#core/look')
    const body = freshLook(nanoid(12), name)
    const { look } = await $fetch<LookRecord>('/api/looks', { method: 'POST', body })
    noteCard(look.id, null)
    await navigateTo({ path: `/looks/${look.id}`, query })
  } finally {
    creating = false
  }
}

/** Opens the tour on a face of its own. */
export const openTour = () => openNewLook('A first try', { tour: '' })
