import { defineStore } from 'pinia'
import { blankDraft } from '#core/draft'

/** The stencil that is being drawn: it is still there when one comes back to it. */
export const useMaker = defineStore('maker', () => {
  const history = markRaw(useDraftHistory())
  const begin = (): void => history.begin(blankDraft(120, 90, 5))
  begin()
  return { history, begin }
})
