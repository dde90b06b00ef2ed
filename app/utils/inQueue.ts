import { useEventListener } from '@vueuse/core'

/** What a job came to, and whether it was the last one waiting. */
interface Done<T> {
  answer: T
  last: boolean
}

/**
 * Does jobs one after the other. When the page is left, those that still wait are begun at once, for nobody
 * comes back to begin them.
 */
export function inQueue() {
  const waiting = new Set<() => void>()
  let queue: Promise<unknown> = Promise.resolve()
  let unfinished = 0
  useEventListener('pagehide', () => waiting.forEach(begin => begin()))
  return async <T>(job: () => Promise<T>): Promise<Done<T>> => {
    unfinished++
    let begin!: () => void
    const done = new Promise<T>((resolve, reject) => {
      begin = () => void (waiting.delete(begin) && job().then(resolve, reject))
    })
    waiting.add(begin)
    const turn = queue.then(() => {
      begin()
      return done
    })
    queue = turn.catch(() => {})
    try {
      return { answer: await turn, last: unfinished === 1 }
    } finally {
      unfinished--
    }
  }
}
