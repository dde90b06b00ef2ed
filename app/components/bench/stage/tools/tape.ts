import { useTape } from '~/stores/tape'
import type { Tool } from './tool'

/** Lays the tape from where the hand comes down to where it is. */
export function tapeTool(): Tool {
  const tape = useTape()
  return {
    ownsPress: true,
    press({ skin }) {
      if (!tape.on) return null
      if (!skin) return 'done'
      tape.ends = [skin, skin]
      return {
        ownsAlt: true,
        drag({ skin: to }) {
          if (to) tape.ends = [skin, to]
        },
      }
    },
  }
}
