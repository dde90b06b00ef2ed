import { defineStore } from 'pinia'
import type { Point } from '#core/geometry'
import { useSelection } from './selection'

/** A shape that is asked for: what it is for, in words, and who takes it. */
interface Asked {
  readonly words: string
  readonly take: (loop: [number, number][]) => void
}

/** Shapes that are drawn on the face by hand. */
export const useDrawing = defineStore('drawing', () => {
  const selection = useSelection()
  const asked = shallowRef<Asked | null>(null)
  watch(
    () => selection.id,
    () => {
      asked.value = null
    },
  )
  /** Asks for a shape; asked again, it is given up. */
  function ask(words: string, take: Asked['take']): void {
    asked.value = asked.value?.words === words ? null : { words, take }
  }
  /** Takes in what was drawn, as few points as tell its shape. */
  function put(loop: readonly Point[]): void {
    const taken = asked.value
    asked.value = null
    taken?.take(fewPoints(loop))
  }
  return { asked, ask, put }
})
