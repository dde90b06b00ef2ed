import { looks } from '../demo/looks'
import { paints } from '../demo/paints'
import { shelf, shelfSvg } from '../demo/shelf'
import { groundFor, planOf, stepsOff, withSteps, type World } from '../core/look'
import { Memo } from '../core/memo'
import { shortest } from '../core/order'
import { prepared, readSvg, type PreparedSheet } from '../core/stencil'
import { randomWork } from '../tests/instances'
import { solver } from '../tests/solver'
import { timed, type Table } from './table'

const SEARCH = { limitMs: 2000, clock: () => performance.now() }
const quantile = (values: number[], q: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(q * values.length))]!

/** The order of the steps: against a general solver, at the size of large looks, and of the demo's looks. */
export async function orderRows(table: Table): Promise<void> {
  const solve = await solver()
  const twelve = Array.from({ length: 9 }, (_, i) =>
    randomWork(12, 300 + i, { ordered: 0.2, windows: 0.1, optional: 0 }),
  )
  const own = quantile(
    twelve.map(work => timed(() => void shortest(work, SEARCH))),
    0.5,
  )
  const other = quantile(
    twelve.map(work => timed(() => void solve(work))),
    0.5,
  )
  // At least fifty times faster.
  table.row(
    'the shortest order of 12 tasks',
    own,
    { ratio: 0.02 },
    { words: 'a general solver', value: other },
  )

  // As many lags to a step as real looks have, and as few windows.
  const thirty = Array.from({ length: 40 }, (_, i) =>
    randomWork(30, 700 + i, { ordered: 0.07, windows: 0.03, optional: 0 }),
  )
  const times = thirty.map(work => timed(() => void shortest(work, SEARCH)))
  table.row('the shortest order of 30 tasks, nine in ten', quantile(times, 0.9), { most: 200 })

  const sheets = new Map<string, PreparedSheet>()
  const sheet = (id: string): PreparedSheet => {
    const { name, kind } = shelf.find(s => s.id === id)!
    const found = sheets.get(id) ?? prepared({ id, name, kind, ...readSvg(shelfSvg(id)).sheet })
    sheets.set(id, found)
    return found
  }
  const edits = looks.map(look => {
    const memo = new Memo()
    const bare: World = {
      ground: groundFor(look, memo),
      stencil: sheet,
      paint: id => paints.find(p => p.id === id) as ReturnType<World['paint']>,
      memo,
    }
    const plan = (steps: typeof look.steps) =>
      void planOf({ steps }, withSteps(bare, steps, stepsOff(look)), SEARCH)
    plan(look.steps)
    // One step more to paint, everything else as it was.
    const edited = look.steps.map((s, i) => (i === 1 ? { ...s, label: `${s.label}.` } : s))
    return timed(() => plan(edited))
  })
  table.row('the order of a demo look after an edit, median', quantile(edits, 0.5), { most: 200 })
  table.row('the same, the slowest of all', Math.max(...edits), {})
}
