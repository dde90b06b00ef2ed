import type { Draft } from '#core/draft'
import type { Point } from '#core/geometry'
import type { ReadChoices, Reading } from '#core/photo'
import { StoppableWorker } from '~/utils/stoppable'
import type { Flat, Opened, PhotoJobs, Sizing, Told } from '~/workers/photo'

/** The largest picture is read in a few seconds; a slow device gets far more, ms. */
const DEADLINE_MS = 90_000
const STOPPED = 'Stopped. Choose the picture again to go on.'

/** Reading sheets from pictures, off the page's thread, with progress; one thing at a time, and the newest. */
export function usePhoto() {
  const stoppable = new StoppableWorker<PhotoJobs>(
    () => new Worker(new URL('../workers/photo.ts', import.meta.url), { type: 'module' }),
    DEADLINE_MS,
  )
  const waiting = ref<{ words: string; done: number } | null>(null)
  onScopeDispose(() => stoppable.giveUp())

  async function run<T extends object>(
    words: string,
    job: (jobs: typeof stoppable.jobs, onProgress: (words: string, done: number) => void) => Promise<Told<T>>,
  ): Promise<Told<T>> {
    waiting.value = { words, done: 0 }
    try {
      const far = (now: string, done: number) => {
        waiting.value = { words: now, done }
      }
      return await meanwhile(far, onProgress => stoppable.until(job(stoppable.jobs, onProgress)))
    } catch (error) {
      return { ok: false, sentence: error instanceof GivenUp ? STOPPED : sentencesOf(error).join(' ') }
    } finally {
      waiting.value = null
    }
  }
  return {
    waiting,
    stop: () => stoppable.giveUp(),
    open: (file: Blob) => run<Opened>('opening the picture', (jobs, on) => jobs.open(file, on)),
    prepare: (sizing: Sizing, dark: boolean | null) =>
      run<Flat>('taking perspective out', (jobs, on) => jobs.prepare(plain(sizing), dark, on)),
    read: (choices: ReadChoices) =>
      run<Reading>('following edges', (jobs, on) => jobs.read(plain(choices), on)),
    keepsake: (middle: Point, draft: Draft): Promise<Blob | null> =>
      stoppable.until(stoppable.jobs.keepsake(plain(middle), plain(draft))).catch(() => null),
  }
}
