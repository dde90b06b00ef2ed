import { RULER } from '~/components/bench/stage/ruler'

/** How large the stage is, with the ruler's width on it, px. */
export interface StageSize {
  readonly width: number
  readonly height: number
  readonly ruler: number
}

/** A window, and the stage in it, px. */
interface Noted {
  readonly window: readonly [number, number]
  readonly stage: readonly [number, number]
}

const KEY = 'janusform-stage'
/** What of a wide window the bench keeps for itself beside and above the stage, px. */
const BESIDE = [618, 176] as const
/** From this width on, px, all of the bench is in view; see useBenchLayout. */
const WIDE = 1100
/** How much of the height of a narrower window is stage, about. */
const NARROW_SHARE = 0.5

/** Notes how large the stage is in this window, for when the bench is not open. */
export function noteStage(width: number, height: number): void {
  const noted: Noted = { window: [window.innerWidth, window.innerHeight], stage: [width, height] }
  localStorage.setItem(KEY, JSON.stringify(noted))
}

function sizeToCome(): readonly [number, number] {
  const { innerWidth, innerHeight } = window
  const noted = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Noted | null
  if (noted?.window[0] === innerWidth && noted.window[1] === innerHeight) return noted.stage
  if (innerWidth >= WIDE) return [innerWidth - BESIDE[0], innerHeight - BESIDE[1]]
  return [innerWidth, innerHeight * NARROW_SHARE]
}

/** How large the stage will be when a look is opened in this window: exactly, once it has been in it before. */
export function stageToCome(): StageSize {
  const [width, height] = sizeToCome()
  // Read as it is kept: the settings come with the bench, and the gallery is small.
  return { width, height, ruler: localStorage.getItem('janusform-ruler') === 'false' ? 0 : RULER }
}
