import type { Doing } from '~/composables/useCommands'
import { keyNow, type KeyActions } from './keys'

/** What the bench does by keys as well, in the list of commands. */
export function keyCommands(on: KeyActions): Doing[] {
  const { session, selection, steps, twins, placing, shaping, clipboard, play } = on
  const key = (usual: string) => (on.letters() ? keyNow(usual, on.own()) : undefined)
  return [
    { id: 'undo', words: 'Undo', keys: 'Ctrl Z', run: () => session.undo() },
    { id: 'redo', words: 'Redo', keys: 'Ctrl Shift Z', run: () => session.redo() },
    { id: 'play', words: 'Play the build', also: 'animation steps watch', keys: key('P'), run: play },
    {
      id: 'twin',
      words: 'Twin, or single again',
      also: 'mirror other side symmetry',
      keys: key('T'),
      run: () => twins.toggle(),
    },
    {
      id: 'flip',
      words: 'Flip over',
      also: 'mirror turn over side',
      keys: key('F'),
      run: () => (selection.byHandles ? shaping : placing).flip(),
    },
    {
      id: 'aim',
      words: 'Aim at the focal point',
      also: 'direction point rotate',
      keys: key('A'),
      run: () => placing.aim(),
    },
    { id: 'more-dabs', words: 'One more dab', keys: key('D'), run: () => shaping.dab(1) },
    {
      id: 'fewer-dabs',
      words: 'One dab less',
      keys: key('D') && `Shift ${key('D')}`,
      run: () => shaping.dab(-1),
    },
    { id: 'select-all', words: 'Select all steps', keys: 'Ctrl A', run: () => selection.takeAll() },
    { id: 'copy', words: 'Copy the selected steps', keys: 'Ctrl C', run: () => clipboard.copy() },
    { id: 'paste', words: 'Paste steps', keys: 'Ctrl V', run: () => clipboard.paste() },
    { id: 'duplicate', words: 'The step once more', keys: 'Ctrl D', run: () => steps.duplicate() },
    { id: 'delete', words: 'Delete the step', keys: 'Delete', run: () => steps.remove() },
    { id: 'let-go', words: 'Let go of the selection', keys: 'Esc', run: () => selection.letGo() },
  ]
}
