import type { createTooltip, destroyTooltip } from 'floating-vue'

/** How long a pointer or the focus rests before a tip shows, ms. */
const REST_MS = 450

/** Fetches what shows tips: after the page itself, which is there to be used first. */
async function fetchTips() {
  const [tips] = await Promise.all([import('floating-vue'), import('floating-vue/dist/style.css')])
  Object.assign(tips.options.themes.tooltip!, {
    // A tap acts at once; it needs no words in its way.
    triggers: ['hover', 'focus'],
    delay: { show: REST_MS, hide: 0 },
  })
  return tips
}

/** `v-tip="words"` tells what something does when the pointer or the focus rests on it. */
export default defineNuxtPlugin(({ vueApp }) => {
  let tips: { createTooltip: typeof createTooltip; destroyTooltip: typeof destroyTooltip } | null = null
  /** What each element on the page has to tell. */
  const told = new Map<HTMLElement, string>()
  function tell(el: HTMLElement, words: string | undefined): void {
    if (words === told.get(el)) return
    tips?.destroyTooltip(el)
    if (!words) return void told.delete(el)
    told.set(el, words)
    tips?.createTooltip(el, words, {})
  }
  vueApp.directive<HTMLElement, string | undefined>('tip', {
    mounted: (el, { value }) => tell(el, value),
    updated: (el, { value }) => tell(el, value),
    beforeUnmount: el => tell(el, undefined),
  })
  afterPage(async () => {
    tips = await fetchTips()
    for (const [el, words] of told) tips.createTooltip(el, words, {})
  })
})
