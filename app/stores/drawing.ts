import { defineStore } from 'pinia'
import { ringOf, signedArea, type Point } from '#core/geometry'
import { useNotices } from './notices'
import { useSelection } from './selection'

/** A shape that is asked for: by what, what it is for, in words, and who takes it. */
interface Asked {
  readonly id: string
  readonly words: string
  readonly take: (loop: [number, number][]) => void
}

/** A smaller shape is none, mm2. */
const LEAST = 6

/** Shapes that are drawn on the face by hand. */
export const useDrawing = defineStore('drawing', () => {
  const selection = useSelection()
  const notices = useNotices()
  const asked = shallowRef<Asked | null>(null)
  watch(
    () => selection.id,
    () => {
      asked.value = null
    },
  )
  /** Asks for a shape; asked again, it is given up. */
  function ask(id: string, words: string, take: Asked['take']): void {
    asked.value = asked.value?.id === id ? null : { id, words, take }
  }
  /** Takes in what was drawn, as few points as tell its shape. */
  function put(loop: readonly Point[]): void {
    const taken = asked.value
    const points = fewPoints(loop)
    // Nothing fits into a line: it is asked for again.
    if (Math.abs(signedArea(ringOf(points))) < LEAST)
      return notices.refuse('That is a line and not a shape: draw round the place.')
    asked.value = null
    taken?.take(points)
  }
  return { asked, ask, put }
})
