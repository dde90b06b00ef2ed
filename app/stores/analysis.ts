import { defineStore } from 'pinia'
import type { Look, LookTimes, PaintUse, Shows } from '#core/look'
import type { Finding } from '#core/checks'
import type { Outcome } from '~/workers/outcomes'
import type { Told } from '~/workers/told'
import { useKit } from './kit'
import { useScene } from './scene'
import { useSession } from './session'
import { useSettings } from './settings'
import { useWays } from './ways'

const today = (): string => new Date().toISOString().slice(0, 10)

/** What was told of the look last. */
function useTold() {
  const findings = shallowRef<readonly Finding[]>([])
  const outcomes = shallowRef<ReadonlyMap<string, Outcome>>(new Map())
  /** How long the look takes, drying included; null until it was told of it. */
  const times = shallowRef<LookTimes | null>(null)
  /** What the hands wait for before each step. */
  const waits = computed(() => new Map(times.value?.waits.map(w => [w.before, w])))
  const paintUse = shallowRef<readonly PaintUse[]>([])
  function take(told: Told): void {
    findings.value = told.findings
    outcomes.value = new Map(told.outcomes.map(o => [o.stepId, o]))
    times.value = told.times
    paintUse.value = told.paintUse
  }
  function clear(): void {
    findings.value = []
    outcomes.value = new Map()
    times.value = null
  }
  return { findings, outcomes, times, waits, paintUse, take, clear }
}

/**
 * What the worker has found of the look: how steps show, what there is to say, what comes of them; and of
 * which look that was.
 */
export const useAnalysis = defineStore('analysis', () => {
  const session = useSession()
  const scene = useScene()
  const painter = usePainter()
  const ways = useWays()
  const settings = useSettings()
  const kit = useKit()
  const shows = shallowRef<ReadonlyMap<string, Shows>>(new Map())
  const { take, clear, ...told } = useTold()
  /**
   * The look whose picture is complete, and the one of which everything was checked: what is told of any
   * other is of before.
   */
  const seen = shallowRef<Look | null>(null)
  const checked = shallowRef<Look | null>(null)
  /** Whether a picture of this look stands on the stage already. */
  const shown = computed(() => seen.value !== null)
  const checking = computed(() => session.look === null || checked.value !== session.look)

  /** Has the look checked; a check of before that still runs is given up. */
  async function check(): Promise<void> {
    const now = session.look
    if (!now || !scene.loaded) return
    const complete = seen.value === now
    const found = await painter.findings(now, today(), [...shows.value.values()], ways.now)
    if (!found || session.look?.id !== now.id) return
    if (complete) checked.value = now
    take(found)
  }
  /** Takes in how steps show once their picture is painted, and has the look checked again. */
  function painted(of: Look, list: readonly Shows[]): void {
    if (of.id !== session.look?.id) return
    shows.value = new Map(list.map(s => [s.stepId, s]))
    seen.value = of
    void check()
  }
  watch([() => ways.now, () => kit.readings], () => void check())
  // Under another light it is not known how steps show until the look is painted under it.
  watch(
    () => settings.light,
    () => {
      checked.value = null
    },
  )
  // Of another look nothing is known.
  watch(
    () => session.opened,
    () => {
      seen.value = checked.value = null
      shows.value = new Map()
      clear()
    },
  )
  return { shows, ...told, checking, shown, painted }
})
