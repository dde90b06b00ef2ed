/** Marks key events that this handler has sent itself. */
const SENT = new WeakSet<Event>()

/**
 * Arrow keys for a list box whose options stand in a grid: right and left go to the next one and the one before, down
 * and up by a row. The list itself only knows down and up. To be called before the list hears the key.
 * @param columns how many options stand in a row
 */
export function gridKeys(event: KeyboardEvent, columns: number): void {
  if (SENT.has(event)) return
  const steps = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: columns, ArrowUp: -columns }[event.key]
  if (steps === undefined) return
  event.preventDefault()
  event.stopPropagation()
  const key = steps > 0 ? 'ArrowDown' : 'ArrowUp'
  for (let i = 0; i < Math.abs(steps); i++) {
    const one = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
    SENT.add(one)
    event.target!.dispatchEvent(one)
  }
}
