import type { Look } from '#core/look'
import type { LookRecord } from '~~/server/db/looks'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'failed' | 'conflict'

/** A look that has not reached the server yet, kept on this device. */
interface Draft {
  look: Look
  base: number
}

const key = (id: string) => `janusform-draft-${id}`

export function readDraft(id: string): Draft | null {
  try {
    return JSON.parse(localStorage.getItem(key(id)) ?? 'null') as Draft | null
  } catch {
    return null
  }
}
export const dropDraft = (id: string): void => localStorage.removeItem(key(id))

/** How long the hands must rest before a change is sent, ms. */
const REST_MS = 500
const RETRY_MS = 5000

/**
 * Saves every change by itself, each over the version that it was made from. A change waits on this device
 * until the server has it;
 * a refused one (409) is kept with the newer version beside it until the painter has chosen.
 */
export class Autosave {
  state = ref<SaveState>('saved')
  savedAt = ref('')
  problem = ref('')
  theirs = shallowRef<LookRecord | null>(null)
  private timer: ReturnType<typeof setTimeout> | undefined
  private running: Promise<void> | null = null
  private waiting: Look | null = null

  constructor(
    private version: number,
    savedAt: string,
  ) {
    this.savedAt.value = savedAt
  }

  /** Takes a changed look to be saved soon. */
  push(look: Look): void {
    this.waiting = look
    try {
      localStorage.setItem(key(look.id), JSON.stringify({ look, base: this.version } satisfies Draft))
    } catch {
      // A full or closed store only costs the copy on this device.
    }
    if (this.state.value === 'conflict') return
    this.state.value = 'waiting'
    clearTimeout(this.timer)
    this.timer = setTimeout(() => void this.flush(), REST_MS)
  }

  /** Sends what waits, at once. */
  async flush(): Promise<void> {
    clearTimeout(this.timer)
    // Several may wait for a slow save: the first of them sends what there is, the others see that it runs.
    while (this.running) await this.running
    if (!this.waiting || this.state.value === 'conflict') return
    this.running = this.send(this.waiting).finally(() => {
      this.running = null
    })
    await this.running
  }

  private async send(look: Look): Promise<void> {
    this.state.value = 'saving'
    try {
      const { version, savedAt } = await $fetch<{ version: number; savedAt: string }>(
        `/api/looks/${look.id}`,
        { method: 'PUT', body: { base: this.version, look } },
      )
      this.version = version
      this.savedAt.value = savedAt
      this.problem.value = ''
      if (this.waiting === look) {
        this.waiting = null
        dropDraft(look.id)
        this.state.value = 'saved'
      } else if (this.waiting) this.push(this.waiting)
    } catch (error) {
      const refused = refusalData<{ theirs: LookRecord }>(error, 409)
      if (refused) {
        this.theirs.value = refused.theirs
        this.state.value = 'conflict'
        return
      }
      this.state.value = 'failed'
      this.problem.value = sentencesOf(error).join(' ')
      this.timer = setTimeout(() => void this.flush(), RETRY_MS)
    }
  }

  /**
   * Settles a conflict in favour of what is on this page: it is saved over the newer version, which stays
   * among the revisions.
   */
  async keepMine(): Promise<void> {
    this.settle()
    await this.flush()
  }

  /** Settles a conflict in favour of the newer version. */
  keepTheirs(): LookRecord | null {
    const theirs = this.theirs.value
    this.settle()
    this.waiting = null
    if (theirs) {
      dropDraft(theirs.look.id)
      this.savedAt.value = theirs.savedAt
    }
    return theirs
  }

  private settle(): void {
    if (this.theirs.value) this.version = this.theirs.value.version
    this.theirs.value = null
    this.state.value = 'saved'
  }

  stop(): void {
    clearTimeout(this.timer)
  }
}
