import { defineStore } from 'pinia'
import { MOST_STEPS, parseLook, Refused, sheetsOf, upgraded, type Command, type Look } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'
import { tidied } from '~/utils/tidied'
import { Autosave } from './autosave'
import { draftsLeft, type LeftDraft } from './drafts'
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

/**
 * The newest of what closed pages have left of a look, when it is other than what the server has; what the server
 * has already is dropped.
 */
async function keptDraft({ look }: LookRecord): Promise<LeftDraft | null> {
  const onServer = JSON.stringify(look)
  // What was kept was a look of some version; what is wrong with it is told by the first edit.
  const left = (await draftsLeft(look.id)).map(d => ({ ...d, look: upgraded(d.look) as Look }))
  const differs = (d: LeftDraft) => JSON.stringify(d.look) !== onServer
  for (const draft of left) if (!differs(draft)) draft.drop()
  return left.find(differs) ?? null
}

/** What is said of a change that fails in a way that nobody foresaw. */
const FAULT = 'That did not work, and nothing was changed. It is a fault of Janusform, not yours.'

/** Does a change; one that is refused, or that fails, is told and changes nothing. */
function orRefused(notices: ReturnType<typeof useNotices>, change: () => boolean): boolean {
  try {
    return change()
  } catch (error) {
    notices.refuse(error instanceof Refused ? error.message : FAULT)
    // A fault is for the console as well, where tests look for it.
    if (!(error instanceof Refused)) console.error(error)
    return false
  }
}

/** What is shown of a history: the look as it is, and what can be undone and done again. */
function useShown() {
  const look = shallowRef<Look | null>(null)
  const undoWords = ref('')
  const redoWords = ref('')
  /** What was undone or done again last, in words. */
  const went = shallowRef<{ readonly back: boolean; readonly words: string } | null>(null)

  function show({ present, canUndo, undoLabel, canRedo, redoLabel }: History<Look>): Look {
    look.value = present
    undoWords.value = canUndo ? undoLabel : ''
    redoWords.value = canRedo ? redoLabel : ''
    return present
  }
  /** Undoes the last change, or does the next one again; returns whether there was one. */
  function goIn(history: History<Look>, back: boolean): boolean {
    const words = back ? history.undo() : history.redo()
    if (words !== null) went.value = { back, words }
    return words !== null
  }
  return { look, undoWords, redoWords, went, show, goIn }
}

/** The look on the bench: opened, changed, undone and saved. */
export const useSession = defineStore('session', () => {
  const drawer = useDrawer()
  const kit = useKit()
  const notices = useNotices()
  let history: History<Look> | null = null
  const { look, undoWords, redoWords, went, show, goIn } = useShown()
  const saver = shallowRef<Autosave | null>(null)
  /** How many times a look was opened: what is known of the one before counts no more. */
  const opened = ref(0)
  let opening = 0
  /** Goes on with another version of the look, undo begun anew. */
  function begin(next: Look): void {
    history = new History(next, problemOf)
    show(history)
    opened.value++
  }
  function take(): void {
    const next = show(history!)
    void drawer.ensure(sheetsOf(next))
    saver.value!.push(next)
  }

  /** Opens a look; work on it that had not reached the server comes back first. */
  async function open(id: string): Promise<void> {
    close()
    const mine = ++opening
    const [record] = await Promise.all([$fetch<LookRecord>(`/api/looks/${id}`), drawer.load(), kit.load()])
    // Another look was asked for meanwhile, and may be open already.
    if (mine !== opening) return
    const draft = await keptDraft(record)
    if (mine !== opening) return
    saver.value = new Autosave(draft?.base ?? record.version, record.savedAt)
    begin(draft?.look ?? record.look)
    await drawer.ensure(sheetsOf(look.value!))
    if (!draft || mine !== opening) return
    saver.value.push(draft.look)
    // It is this page's now.
    if (saver.value.keeps.value) draft.drop()
  }
  function close(): void {
    saver.value?.stop()
    void saver.value?.flush()
    look.value = null
    history = null
  }

  /**
   * Changes the look, as one step of undo; an edit that cannot be is refused with a sentence. Returns whether
   * the look is another now.
   */
  function edit(label: string, command: Command, merge: string | null = null): boolean {
    const changed = orRefused(notices, () => history?.edit(label, tidied(command), merge) ?? false)
    if (changed) take()
    return changed
  }
  /** Makes the look what it was in an earlier version; one step of undo like any other. */
  const bringBack = (earlier: Look, label: string) =>
    edit(label, draft => void Object.assign(draft, { ...earlier, id: draft.id, family: draft.family }))
  const go = (back: boolean) => void (history && goIn(history, back) && take())
  const undo = () => go(true)
  const redo = () => go(false)

  return { look, saver, opened, undoWords, redoWords, went, open, close, edit, bringBack, undo, redo, begin }
})
