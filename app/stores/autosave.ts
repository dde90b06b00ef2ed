import type { Look } from '#core/look'
import { isFull, keptWithRoom } from '../utils/room'
import { dropDraft, keepDraft } from './drafts'
import type { LookRecord } from '~~/server/db/looks'

export type SaveState = 'saved' | 'waiting' | 'saving' | 'failed' | 'conflict'

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
  /** Whether what waits is kept on this device as well: a device may be full. */
  keeps = ref(true)
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
    this.keep(look)
    if (this.state.value === 'conflict') return
    this.state.value = 'waiting'
    clearTimeout(this.timer)
    this.timer = setTimeout(() => void this.flush(), REST_MS)
  }

  private keep(look: Look): void {
    const draft = { look, base: this.version, at: Date.now() }
    try {
      keepDraft(draft)
      this.keeps.value = true
    } catch (error) {
      this.keeps.value = false
      if (isFull(error)) void this.again(look)
    }
  }
  /** Keeps a look once there may be room again. */
  private async again(look: Look): Promise<void> {
    const keep = () => {
      // Meanwhile it may be saved, or be another one.
      if (this.waiting !== look) return
      keepDraft({ look, base: this.version, at: Date.now() })
      this.keeps.value = true
    }
    // Where there is no room even then, the page tells that this device keeps nothing.
    await keptWithRoom(keep).catch(() => {})
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
