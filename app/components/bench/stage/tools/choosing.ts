import type { Point } from '#core/geometry'
import { useChoice } from '~/stores/choice'
import { useScene } from '~/stores/scene'
import { openingAt, openingsIn } from '../openings'
import type { Grip, StageHand, Tool } from './tool'

/** A fingertip's worth of the screen, px. */
const FINGERTIP = 9

/**
 * Chooses openings: a press on one takes it in or out, and all that is dragged over likewise; one beside them
 * all begins a loop.
 */
export function choosingTool({ view, ghosts }: StageHand): Tool {
  const choice = useChoice()
  const scene = useScene()
  /** How far from an opening a press still counts, mm. */
  const reach = () => FINGERTIP / view.value.k

  function sweep(first: number, into: boolean): Grip {
    const over = new Set([first])
    choice.take([first], into)
    return {
      ownsAlt: true,
      drag({ skin }) {
        const n = skin && choice.now && openingAt(choice.now.step, scene.world, skin, reach() / 2)
        if (n === null || over.has(n)) return
        over.add(n)
        choice.take([n], into)
      },
    }
  }
  function lasso(from: Point, into: boolean): Grip {
    const points = [from]
    return {
      ownsAlt: true,
      drag({ skin }) {
        if (!skin) return
        points.push(skin)
        ghosts.loop.value = [...points]
      },
      release() {
        if (choice.now && points.length > 3)
          choice.take(openingsIn(choice.now.step, scene.world, points), into)
      },
    }
  }
  return {
    ownsPress: true,
    press({ skin, alt }) {
      if (!choice.now) return null
      if (!skin) return 'done'
      const { step, chosen, may } = choice.now
      const n = openingAt(step, scene.world, skin, reach())
      if (choice.motif) {
        if (n !== null && may.has(n)) choice.onlyMotif(n)
        return 'done'
      }
      return n !== null && may.has(n) ? sweep(n, !chosen.has(n)) : lasso(skin, !alt)
    },
  }
}
