/** The bench's keys, as the sheet of keys shows them. */
export const KEYS: readonly { keys: string; does: string; own?: true }[] = [
  { keys: 'T', does: 'twin by your usual rule, or single again', own: true },
  { keys: 'F', does: 'flip the stencil or stroke over', own: true },
  { keys: '[  ]', does: 'turn 1°, with Shift 15°' },
  { keys: '← ↑ → ↓', does: 'move 1 mm, with Shift 5 mm; on the face with nothing selected: the spot' },
  { keys: 'A', does: 'aim all that is selected at the focal point', own: true },
  { keys: 'G', does: 'select the whole arrangement', own: true },
  { keys: 'Shift click', does: 'select several steps' },
  { keys: 'D', does: 'one more dab (Shift: one less)', own: true },
  { keys: 'N', does: 'nine others for the step or the spot', own: true },
  { keys: 'P', does: 'play the build', own: true },
  { keys: 'Delete', does: 'delete the step' },
  { keys: 'Ctrl Z', does: 'undo' },
  { keys: 'Ctrl Shift Z', does: 'redo' },
  { keys: 'Enter', does: 'on a stencil of the tray: lay it' },
  { keys: 'Alt ← →', does: 'in the strip: move a step' },
  { keys: 'Ctrl A', does: 'select all steps' },
  { keys: 'Ctrl C', does: 'copy the selected steps, also for another look' },
  { keys: 'Ctrl V', does: 'paste them on top' },
  { keys: 'Ctrl D', does: 'the step once more' },
  { keys: 'Ctrl K', does: 'every command by its name' },
  { keys: 'Enter', does: 'on the face: a cursor that the arrows move; again: take hold, set down' },
  { keys: 'Space', does: 'with the cursor: press there, as a tap' },
  { keys: 'Page ↓ ↑', does: 'with the cursor: the next opening, handle or focal point' },
  { keys: 'Home', does: 'the cursor, or the picked spot, to the nearest landmark' },
  { keys: 'Alt click', does: 'pick a spot, also on paint (or press long)' },
  { keys: 'Esc', does: 'let go of the selection' },
  { keys: '?', does: 'this list' },
]

/** The letters that a painter has given in place of the usual ones: usual letter to own, both lower case. */
export type OwnKeys = Readonly<Record<string, string>>

/** The letter that does now what one usually does. */
export const keyNow = (usual: string, own: OwnKeys): string =>
  own[usual.toLowerCase()]?.toUpperCase() ?? usual

/**
 * The keys once an action has got another letter; a sentence when that letter cannot be.
 * @param usual the letter that does it usually
 */
export function withOwnKey(own: OwnKeys, usual: string, pressed: string): OwnKeys | string {
  const key = pressed.toLowerCase()
  if (!/^\p{L}$/u.test(key)) return 'Only a letter can be given; the other keys have their places.'
  const taken = KEYS.find(k => k.own && k.keys !== usual && keyNow(k.keys, own).toLowerCase() === key)
  if (taken) return `${pressed.toUpperCase()} is taken: ${taken.does}.`
  const { [usual.toLowerCase()]: _, ...rest } = own
  return key === usual.toLowerCase() ? rest : { ...rest, [usual.toLowerCase()]: key }
}

/** The usual letter of a pressed one; null when what it usually does has another letter now. */
function usualOf(pressed: string, own: OwnKeys): string | null {
  const given = Object.entries(own).find(([, key]) => key === pressed)
  return given ? given[0] : pressed in own ? null : pressed
}

export const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/**
 * Whether a key that is pressed in a field is the bench's: letting go, and undoing where nothing is typed
 * that is not kept yet, as that is the field's own.
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

/** What keys do: the bench's own rooms, and what only the page can do. */
export interface KeyActions {
  readonly session: Pick<ReturnType<typeof useSession>, 'undo' | 'redo'>
  readonly selection: Pick<
    ReturnType<typeof useSelection>,
    'id' | 'sheet' | 'byHandles' | 'takeAll' | 'takeGroup' | 'letGo'
  >
  readonly steps: Pick<ReturnType<typeof useSteps>, 'remove' | 'duplicate'>
  readonly clipboard: Pick<ReturnType<typeof useStepClipboard>, 'copy' | 'paste'>
  /** Whether single letters do something: who speaks to the machine may switch that off. */
  readonly letters: () => boolean
  /** Letters that were given in place of the usual ones. */
  readonly own: () => OwnKeys
  readonly placing: Pick<ReturnType<typeof usePlacing>, 'nudge' | 'turn' | 'flip' | 'aim'>
  readonly shaping: Pick<ReturnType<typeof useShaping>, 'shift' | 'turn' | 'flip' | 'dab'>
  readonly twins: Pick<ReturnType<typeof useTwins>, 'toggle'>
  readonly play: () => void
  /** Offers nine others for the step or the spot. */
  readonly nine: () => void
  readonly help: () => void
}

/** With Shift an arrow moves by so many mm, and a bracket turns by so many degrees. */
const [FAR, WIDE] = [5, 15]

/** Keys pressed with Ctrl. */
function pressWithCtrl(key: string, shift: boolean, on: KeyActions): boolean {
  const { session, selection, steps, clipboard } = on
  switch (key) {
    case 'z':
      if (shift) session.redo()
      else session.undo()
      return true
    case 'y':
      session.redo()
      return true
    case 'a':
      selection.takeAll()
      return true
    case 'c':
      // Words that are marked are copied as everywhere.
      if (!selection.id || String(getSelection() ?? '')) return false
      clipboard.copy()
      return true
    case 'v':
      clipboard.paste()
      return true
    case 'd':
      steps.duplicate()
      return true
    default:
      return false
  }
}

/** What each key does by itself or with Shift. */
const KEY_ACTIONS: Readonly<Record<string, (on: KeyActions, shift: boolean) => void>> = {
  't': on => on.twins.toggle(),
  'f': on => (on.selection.byHandles ? on.shaping : on.placing).flip(),
  '[': (on, shift) => turnBy(on, shift ? -WIDE : -1),
  ']': (on, shift) => turnBy(on, shift ? WIDE : 1),
  // With Shift some keyboards send braces, others keep the bracket.
  '{': (on, shift) => turnBy(on, shift ? -WIDE : -1),
  '}': (on, shift) => turnBy(on, shift ? WIDE : 1),
  'a': on => on.placing.aim(),
  'g': on => on.selection.takeGroup(),
  'd': (on, shift) => on.shaping.dab(shift ? -1 : 1),
  'n': on => on.nine(),
  'p': on => on.play(),
  '?': on => on.help(),
  'delete': on => on.steps.remove(),
  'backspace': on => on.steps.remove(),
  'escape': on => on.selection.letGo(),
}
const turnBy = ({ selection, shaping, placing }: KeyActions, by: number) =>
  (selection.byHandles ? shaping : placing).turn(by)

/** What the bench does for a key press; returns whether the key was one of its own. */
export function pressKey(event: KeyboardEvent, on: KeyActions): boolean {
  const { key, shiftKey } = event
  if (event.ctrlKey || event.metaKey) return pressWithCtrl(key.toLowerCase(), shiftKey, on)
  if (event.altKey) return false
  const arrow = ARROWS[key]
  const { selection, shaping, placing } = on
  if (arrow && selection.id && (selection.byHandles || selection.sheet)) {
    const [dx, dy] = arrow.map(d => d * (shiftKey ? FAR : 1))
    if (selection.byHandles) shaping.shift(dx!, dy!)
    else placing.nudge(dx!, dy!)
    return true
  }
  if (key.length === 1 && key !== '?' && !on.letters()) return false
  const usual = usualOf(key.toLowerCase(), on.own())
  const act = usual === null ? undefined : KEY_ACTIONS[usual]
  act?.(on, shiftKey)
  return act !== undefined
}
