import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { waysFor, type ChosenWays, type TwinRule, type Ways } from '#core/look'
import type { Ground } from '#core/skin'
import { useNotices } from './notices'
import { useSession } from './session'

/** How the painter works, where painters disagree: for the house, and for the look on the bench. */
export const useWays = defineStore('ways', () => {
  const session = useSession()
  const notices = useNotices()
  const house = shallowRef<ChosenWays>({})
  /** Whether the painter was asked once, on this device. */
  const asked = useLocalStorage('janusform-ways-asked', false)
  const now = computed<Ways>(() => waysFor(session.look?.ways, house.value))

  async function load(): Promise<void> {
    house.value = await $fetch<ChosenWays>('/api/ways')
  }
  /** Chooses for the house; a failure is told and changes nothing. */
  async function choose(change: ChosenWays): Promise<void> {
    asked.value = true
    const before = house.value
    house.value = { ...before, ...change }
    try {
      house.value = await $fetch<ChosenWays>('/api/ways', {
        method: 'PUT',
        body: house.value,
      })
    } catch (error) {
      house.value = before
      notices.refuse(sentencesOf(error).join(' '))
    }
  }
  /** Chooses for this look alone; null takes it back to what counts for the house. */
  const chooseHere = (key: keyof ChosenWays, value: ChosenWays[keyof ChosenWays] | null) =>
    session.edit('way of working', d => {
      const next: Record<string, unknown> = { ...d.ways }
      if (value === null) delete next[key]
      else next[key] = value
      if (Object.keys(next).length) d.ways = next as ChosenWays
      else delete d.ways
    })
  /** How a new twin is placed. */
  const twinRule = (ground: Ground): TwinRule => (ground.face ? now.value.mirror : 'turn')
  return { house, asked, now, load, choose, chooseHere, twinRule }
})
