import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { Problem } from '#core/order'
import { randomWork } from './instances'
import type { Solved } from './solver'

/** A work with what a general solver has found for it. */
export interface Case {
  readonly name: string
  readonly work: Problem
  /** Seconds within which all is to be done; Infinity when the shortest order of everything is looked for. */
  readonly budget: number
}

/** Sizes from 6 to 12 tasks, the larger ones seldom: the solver takes seconds for them. */
const sizeOf = (seed: number): number => (seed % 20 === 0 ? 12 : seed % 10 === 5 ? 10 : 6 + (seed % 3))

/** Works with lags and windows, all of which is to be done. */
export const wholeWorks = (): Case[] =>
  Array.from({ length: 120 }, (_, i) => ({
    name: `whole ${i + 1}`,
    work: randomWork(sizeOf(i + 1), i + 1, { ordered: 0.3, windows: 0.15, optional: 0 }),
    budget: Infinity,
  }))

/** Works with optional tasks, pairs and needs, and less time than all of them take. */
export const shortWorks = (): Case[] =>
  Array.from({ length: 100 }, (_, i) => {
    const seed = i + 1
    const work = randomWork(6 + (seed % 3), 1000 + seed, { ordered: 0.25, windows: 0.1, optional: 0.5 })
    const whole = work.tasks.reduce((sum, t) => sum + t.seconds, 0)
    return { name: `short ${seed}`, work, budget: Math.round(whole * (0.5 + (seed % 5) / 8)) }
  })

/** A digest of a work: an answer counts only for the work that it was found for. */
export const digestOf = ({ work, budget }: Case): string =>
  createHash('sha1')
    // JSON has no Infinity: what has no end is told as text.
    .update(JSON.stringify({ work, budget }, (_, v: unknown) => (v === Infinity ? 'none' : v)))
    .digest('hex')
    .slice(0, 12)

/** What the solver answered, by the names of the works; written by "npm run solve". */
export type Answers = Record<string, { readonly digest: string; readonly solved: Solved | null }>

export const ANSWERS = new URL('./reference/solved.json', import.meta.url)
export const answers = (): Answers => JSON.parse(readFileSync(ANSWERS, 'utf8')) as Answers

/** One of so many of a list: others every day, and all of them within that many days. */
export function ofToday<T>(list: readonly T[], of: number, day = new Date()): T[] {
  const days = Math.floor(day.getTime() / 86_400_000)
  return list.filter((_, i) => i % of === days % of)
}
