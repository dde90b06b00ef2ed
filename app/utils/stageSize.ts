import { RULER } from '~/components/bench/stage/ruler'

/** How large the stage is, with the ruler's width on it, px. */
export interface StageSize {
  readonly width: number
  readonly height: number
  readonly ruler: number
}

const KEY = 'janusform-beside-stage'
/** What of the window the bench keeps for itself beside and above the stage, px. */
const BESIDE = [580, 176] as const
/** The bench is never smaller than this, px. */
const LEAST = [1000, 560] as const

/** Notes how much of the window is not stage, for when the bench is not open. */
export function noteStage(width: number, height: number): void {
  localStorage.setItem(KEY, JSON.stringify([window.innerWidth - width, window.innerHeight - height]))
}

/** How large the stage will be when a look is opened in this window. */
export function stageToCome(): StageSize {
  const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as readonly [number, number] | null
  const [across, down] = kept ?? BESIDE
  return {
    width: Math.max(LEAST[0], window.innerWidth) - across,
    height: Math.max(LEAST[1], window.innerHeight) - down,
    // Read as it is kept: the settings come with the bench, and the gallery is small.
    ruler: localStorage.getItem('janusform-ruler') === 'false' ? 0 : RULER,
  }
}
