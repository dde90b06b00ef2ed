import { proxy, type ProxyMarked } from 'comlink'

/**
 * Runs a worker's job that tells how far it is. What it tells comes by another port than its answer and may
 * come after it: nothing is heard any more then, or a wait would be shown for good.
 * @param tell hears how far the job is
 * @param job gets what it is to tell
 */
export async function meanwhile<A extends unknown[], R>(
  tell: (...told: A) => void,
  job: (tell: ((...told: A) => void) & ProxyMarked) => Promise<R>,
): Promise<R> {
  let over = false
  const heard = proxy((...told: A) => {
    if (!over) tell(...told)
  })
  try {
    return await job(heard)
  } finally {
    over = true
  }
}
