import { tenth } from '../../geometry'
import { groundFor } from '../look'
import { Refused, type Command } from './command'

/** A change of what the look is painted on. Refused with a sentence when such a face or arm cannot be. */
export const onCanvas =
  (recipe: Command): Command =>
  draft => {
    recipe(draft)
    try {
      groundFor(draft)
    } catch (error) {
      if (error instanceof RangeError) throw new Refused(error.message)
      throw error
    }
  }

/** Moves a landmark of a face by some mm from where it is. */
export const moveLandmark = (id: string, dx: number, dy: number): Command =>
  onCanvas(({ canvas }) => {
    if (canvas.kind !== 'face') return
    const [x, y] = canvas.nudges[id] ?? [0, 0]
    canvas.nudges[id] = [tenth(x + dx), tenth(y + dy)]
  })
