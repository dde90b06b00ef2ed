import type { H3Event } from 'h3'

let last: Promise<void> = Promise.resolve()
/**
 * How long the rest is let in before each piece, ms: a request takes some turns of the loop to be read and
 * answered.
 */
const BREATH = 10

/**
 * Does heavy work one piece at a time, and lets requests that came meanwhile in before each.
 * @returns what `make` gives; null when nobody waits for the answer any more
 */
export async function inTurn<T>(event: H3Event, make: () => T): Promise<T | null> {
  const before = last
  let done = () => {}
  last = new Promise<void>(resolve => {
    done = resolve
  })
  await before
  await new Promise(resolve => setTimeout(resolve, BREATH))
  try {
    return event.node.req.socket.destroyed ? null : make()
  } finally {
    done()
  }
}
