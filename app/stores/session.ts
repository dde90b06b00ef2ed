import { nanoid } from 'nanoid'
import { defineStore } from 'pinia'
import {
  boundOrder,
  MOST_STEPS,
  parseLook,
  Refused,
  settle as settleRegisters,
  sheetsOf,
  upgraded,
  type Command,
  type Look,
} from '#core/look'
import type { LookRecord } from '~~/server/db/looks'
import { Autosave, dropDraft, readDraft } from './autosave'
import { useDrawer } from './drawer'
import { History } from './history'
import { useKit } from './kit'
import { useNotices } from './notices'

/** What is wrong with a look that an edit would leave; nothing that the server would refuse gets into it. */
function problemOf(next: Look): string | null {
  if (next.steps.length > MOST_STEPS) return `A look has at most ${MOST_STEPS} steps: take some out first.`
  const read = parseLook(next, pageMemo)
  return read.ok ? null : read.errors[0]!
}

/** What every change of a look ends with: sheets in register go where their hosts went, and glitter follows its wet paint. */
const tidied =
  (command: Command): Command =>
  draft => {
    command(draft)
    settleRegisters(draft.steps)
    draft.steps = boundOrder(draft.steps) ?? draft.steps
  }

/** The look on the bench: opened, changed, undone and saved. */
export const useSession = defineStore('session', () => {
  const drawer = useDrawer()
  const kit = useKit()
  const notices = useNotices()
  let history: History<Look> | null = null
  const look = shallowRef<Look | null>(null)
  const saver = shallowRef<Autosave | null>(null)
  /** How many times a look was opened: what is known of the one before counts no more. */
  const opened = ref(0)
  const undoWords = ref('')
  const redoWords = ref('')

  function begin(next: Look): void {
    history = new History(next, problemOf)
    look.value = history.present
    opened.value++
    tell()
  }
  function tell(): void {
    undoWords.value = history?.canUndo ? history.undoLabel : ''
    redoWords.value = history?.canRedo ? history.redoLabel : ''
  }
  function take(): void {
    look.value = history!.present
    tell()
    void drawer.ensure(sheetsOf(look.value))
    saver.value!.push(look.value)
  }

  /** Opens a look; work on it that had not reached the server comes back first. */
  async function open(id: string): Promise<void> {
    close()
    const [record] = await Promise.all([$fetch<LookRecord>(`/api/looks/${id}`), drawer.load(), kit.load()])
    const found = readDraft(id)
    const draft = found && { ...found, look: upgraded(found.look) as Look }
    const restore = draft !== null && JSON.stringify(draft.look) !== JSON.stringify(record.look)
    saver.value = new Autosave(restore ? draft.base : record.version, record.savedAt)
    if (!restore) dropDraft(id)
    begin(restore ? draft.look : record.look)
    await drawer.ensure(sheetsOf(look.value!))
    if (restore) saver.value.push(draft.look)
  }
  function close(): void {
    saver.value?.stop()
    void saver.value?.flush()
    look.value = null
    history = null
  }

  /** Changes the look, as one step of undo; an edit that cannot be is refused with a sentence. Returns whether the look is another now. */
  function edit(label: string, command: Command, merge: string | null = null): boolean {
    try {
      const changed = history?.edit(label, tidied(command), merge) ?? false
      if (changed) take()
      return changed
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      notices.refuse(error.message)
      return false
    }
  }
  const undo = () => void (history?.undo() && take())
  const redo = () => void (history?.redo() && take())

  /** Settles a conflict: this page's version, or the newer one (this page's is then saved as a look of its own). */
  async function settle(choice: 'mine' | 'theirs'): Promise<void> {
    if (choice === 'mine') return saver.value!.keepMine()
    const mine = look.value!
    const copy = { ...mine, id: nanoid(12), name: `${mine.name.slice(0, 66)} (my version)` }
    await $fetch('/api/looks', { method: 'POST', body: copy })
    const theirs = saver.value!.keepTheirs()
    if (!theirs) return
    begin(theirs.look)
    await drawer.ensure(sheetsOf(theirs.look))
  }

  return { look, saver, opened, undoWords, redoWords, open, close, edit, undo, redo, settle }
})
