import { createGlobalState } from '@vueuse/core'

/** What is chosen in the tray of bases, as long as the page is open. */
export const useBaseChoice = createGlobalState(() => ({
  how: ref<'area' | 'sponge' | 'over'>('area'),
  /** The areas by id, and whether a person has chosen them. */
  where: ref<string[]>(['forehead']),
  whereChosen: ref(false),
  /** Ids of paints, light to dark, or of one cake. */
  colours: ref<string[]>([]),
}))
