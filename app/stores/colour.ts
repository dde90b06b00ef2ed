import { defineStore } from 'pinia'
import type { PaintRef } from '#core/look'
import { linearOf, luminance } from '#core/paint'
import { useKit } from './kit'
import { useNotices } from './notices'

/** The colour of the next stroke. */
export const useColour = defineStore('colour', () => {
  const kit = useKit()
  const notices = useNotices()
  /** The one last used; null until one was. */
  const chosen = shallowRef<PaintRef | null>(null)
  /** The matte colours of the kit, the darkest first. */
  const byLight = computed(() => {
    const light = (colour: string) => luminance(linearOf(colour))
    return kit.singles.filter(p => p.finish === 'matte').sort((a, b) => light(a.colour) - light(b.colour))
  })
  /** The one last used, else the darkest of the kit. */
  const now = computed<PaintRef | null>(() => {
    if (chosen.value && kit.find(chosen.value.id)) return chosen.value
    const [darkest] = byLight.value
    return darkest ? kit.refOf(darkest) : null
  })
  /** The colour, or null with a sentence when there is none. */
  function need(): PaintRef | null {
    if (!now.value) notices.refuse('The kit has no single colour yet: add one on the Kit page.')
    return now.value
  }
  return { chosen, byLight, now, need }
})
