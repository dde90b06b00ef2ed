import { nanoid } from 'nanoid'
import { sheetsOf, type Look } from '#core/look'

/** Saves a version of a look as a look of its own. */
async function saveAsOwn(mine: Look): Promise<void> {
  const copy = { ...mine, id: nanoid(12), name: `${mine.name.slice(0, 66)} (my version)`, family: undefined }
  await $fetch('/api/looks', { method: 'POST', body: copy })
}

/** What becomes of a look that was saved from somewhere else meanwhile. */
export function useConflict() {
  const session = useSession()
  const drawer = useDrawer()
  /**
   * Goes on with this page's version, or with the newer one (this page's is then saved as a look of its own).
   */
  async function settle(choice: 'mine' | 'theirs'): Promise<void> {
    if (choice === 'mine') return session.saver!.keepMine()
    await saveAsOwn(session.look!)
    const theirs = session.saver!.keepTheirs()
    if (!theirs) return
    session.begin(theirs.look)
    await drawer.ensure(sheetsOf(theirs.look))
  }
  return { settle }
}
