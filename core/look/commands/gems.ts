import { tenth } from '../../geometry'
import type { Face } from '../../skin'
import { NO_TWIN } from '../document'
import { dotsOf, type DotsStep, type World } from '../kinds'
import { movedHandles } from '../placement'
import { onKind, type Command } from './command'

/** Sets the gems of a step on the midline. */
export const gemsOnMidline = (id: string): Command =>
  onKind('gem', id, step => {
    step.points = step.points.map(([, y]): [number, number] => [0, y])
    step.twin = { ...NO_TWIN, own: null }
  })

/**
 * Sets a gem at the corner of each eye.
 * @param clearance how far a gem keeps from an eye, mm
 */
export const gemsAtEyeCorners = (id: string, { landmarks }: Face, clearance: number): Command =>
  onKind('gem', id, step => {
    const [x, y] = landmarks.right.outerEye
    // Far enough out that it stays clear of the eye.
    step.points = [[tenth(x + clearance + step.size / 2 + 0.5), tenth(y)]]
    step.twin = { ...NO_TWIN, rule: 'features', own: null }
  })

/** As many dots of a run get a gem. */
const MOST = 6

/** Sets gems on the largest dots of a run. */
export const gemsOnDots = (id: string, run: DotsStep, world: World): Command =>
  onKind('gem', id, step => {
    const [own] = dotsOf(run, world)
    const largest = own!.dots.toSorted((a, b) => b.size - a.size).slice(0, MOST)
    step.points = movedHandles(
      largest.map(d => d.at),
      p => p,
    )
    step.twin = { ...NO_TWIN, rule: run.twin.rule, about: run.twin.about, own: null }
  })
