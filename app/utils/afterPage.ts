/** So long the page has to itself when nobody touches it, ms. */
const QUIET_MS = 1500

/** Does a job once somebody reaches for the page, or when it has stood for a while: the page itself comes first. */
export function afterPage(job: () => void): void {
  onNuxtReady(() => {
    const began = new AbortController()
    const begin = () => {
      if (began.signal.aborted) return
      began.abort()
      job()
    }
    for (const event of ['pointermove', 'pointerdown', 'keydown'])
      window.addEventListener(event, begin, { signal: began.signal, capture: true, passive: true })
    setTimeout(begin, QUIET_MS)
  })
}
