import { defineStore } from 'pinia'

/** Something to be told to the painter in passing: that a change cannot be, or what came of one. */
export interface Notice {
  readonly text: string
  readonly refused: boolean
}

/** What is to be told in passing; the page shows it. */
export const useNotices = defineStore('notices', () => {
  const last = shallowRef<Notice | null>(null)
  /** Says why something cannot be. */
  const refuse = (text: string): void => {
    last.value = { text, refused: true }
  }
  /** Says what came of something. */
  const tell = (text: string): void => {
    last.value = { text, refused: false }
  }
  return { last, refuse, tell }
})
