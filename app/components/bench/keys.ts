/** The bench's keys, as the sheet of keys shows them. */
export const KEYS: readonly { keys: string; does: string }[] = [
  { keys: 'T', does: 'twin by your usual rule, or single again' },
  { keys: 'F', does: 'flip the sheet or stroke over' },
  { keys: '[  ]', does: 'turn 1°, with Shift 15°' },
  { keys: '← ↑ → ↓', does: 'move 1 mm, with Shift 5 mm' },
  { keys: 'A', does: 'aim all that is selected at the focal point' },
  { keys: 'G', does: 'select the whole arrangement' },
  { keys: 'Shift click', does: 'select several steps' },
  { keys: 'D', does: 'one more dab (Shift: one less)' },
  { keys: 'P', does: 'play the build' },
  { keys: 'Delete', does: 'delete the step' },
  { keys: 'Ctrl Z', does: 'undo' },
  { keys: 'Ctrl Shift Z', does: 'redo' },
  { keys: 'Enter', does: 'on a sheet of the tray: lay it' },
  { keys: 'Alt ← →', does: 'in the strip: move a step' },
  { keys: 'Ctrl A', does: 'select all steps' },
  { keys: 'Alt click', does: 'pick a spot, also on paint (or press long)' },
  { keys: 'Esc', does: 'let go of the selection' },
  { keys: '?', does: 'this sheet' },
]

const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/**
 * Whether a key that is pressed in a field is the bench's: letting go, and undoing where nothing is typed that is not kept yet, as that is the field's own.
 * A field that is let go of shows again what is kept.
 */
export function pressedInField(
  { key, ctrlKey, metaKey }: KeyboardEvent,
  field: Pick<HTMLInputElement, 'value' | 'blur' | 'dataset' | 'tagName'>,
): boolean {
  const { kept } = field.dataset
  if (key === 'Escape') {
    if (kept !== undefined) field.value = kept
    field.blur()
    return true
  }
  if (!(ctrlKey || metaKey) || !['z', 'y'].includes(key.toLowerCase())) return false
  return field.tagName === 'SELECT' || (kept !== undefined && field.value === kept)
}

/** What the bench does for a key press; returns whether the key was one of its own. */
export function pressKey(
  event: KeyboardEvent,
  bench: ReturnType<typeof useBench>,
  brush: ReturnType<typeof useBrushwork>,
  actions: { play: () => void; help: () => void },
): boolean {
  const { key, shiftKey } = event
  if (event.ctrlKey || event.metaKey) {
    if (key.toLowerCase() === 'z') (shiftKey ? bench.redo : bench.undo)()
    else if (key.toLowerCase() === 'y') bench.redo()
    else if (key.toLowerCase() === 'a') bench.selectAll()
    else return false
    return true
  }
  if (event.altKey) return false
  const arrow = ARROWS[key]
  if (arrow && bench.selectedId && (brush.many || bench.selectedSheet)) {
    ;(brush.many ? brush.shift : bench.nudge)(arrow[0] * (shiftKey ? 5 : 1), arrow[1] * (shiftKey ? 5 : 1))
    return true
  }
  const turn = brush.many ? brush.turn : bench.turn
  switch (key.toLowerCase()) {
    case 't':
      bench.twin()
      return true
    case 'f':
      ;(brush.many ? brush.flip : bench.flip)()
      return true
    // With Shift some keyboards send braces, others keep the bracket.
    case '[':
    case '{':
      turn(shiftKey ? -15 : -1)
      return true
    case ']':
    case '}':
      turn(shiftKey ? 15 : 1)
      return true
    case 'a':
      bench.aim()
      return true
    case 'g':
      brush.takeGroup()
      return true
    case 'd':
      bench.dab(shiftKey ? -1 : 1)
      return true
    case 'p':
      actions.play()
      return true
    case '?':
      actions.help()
      return true
    case 'delete':
    case 'backspace':
      bench.remove()
      return true
    case 'escape':
      bench.selectedId = null
      bench.spot = null
      return true
    default:
      return false
  }
}
