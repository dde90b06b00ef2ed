import { finishOf, stateIn, type Gate, type Progress } from './progress'
import { RUN_FORMAT, type Outcome, type Run, type RunStep } from './record'
import type { Screen } from './screens'

/** What of a run is known from its beginning, and what is said of it at its end. */
export type RunFrame = Pick<
  Run,
  'id' | 'look' | 'device' | 'startedAt' | 'endedAt' | 'ticket' | 'room' | 'note'
> & {
  /** How steps went, as far as somebody said. */
  readonly went: Readonly<Record<string, Outcome>>
}

/** Nobody sits longer than a day, whatever a clock says, s. */
const DAY = 86_400
const tenths = (seconds: number): number => Math.min(DAY, Math.round(10 * seconds) / 10)

function stepOf(screen: Screen, progress: Progress, went: RunFrame['went']): RunStep {
  const { seconds, waited, lost, again, swapped, ending } = stateIn(progress, screen.id)
  return {
    id: screen.id,
    label: screen.label.slice(0, 60),
    task: screen.task,
    planned: tenths(screen.planned),
    usual: tenths(screen.usual),
    seconds: ending === 'done' ? tenths(seconds) : null,
    waited: tenths(waited),
    lost: tenths(ending === 'done' ? lost : lost + seconds),
    ending,
    swapped,
    again: Math.min(99, again),
    went: went[screen.id] ?? null,
    bridge: screen.bridge,
  }
}

/**
 * The record of a sitting as far as it is.
 * @param screens of the steps that were to be painted, in the order in which they were or will be; what was left
 * out comes last
 */
export function runOf(
  frame: RunFrame,
  progress: Progress,
  screens: readonly Screen[],
  gates: readonly Gate[],
): Run {
  const { went, ...rest } = frame
  const planned = new Map(screens.map(s => [s.id, s.planned]))
  const order = screens.flatMap(s => (stateIn(progress, s.id).ending === 'left out' ? [] : [s.id]))
  return {
    format: RUN_FORMAT,
    version: 1,
    ...rest,
    length: progress.length,
    typed: false,
    planned: tenths(finishOf(order, id => planned.get(id) ?? 0, gates)),
    seconds: tenths(progress.now - progress.paused),
    paused: tenths(progress.paused),
    steps: screens.map(s => stepOf(s, progress, went)),
  }
}
