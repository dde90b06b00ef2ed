import { nineJob } from '../app/workers/nine'
import type { Box } from '../core/geometry'
import { groundFor, withSteps, type Look, type Step, type World } from '../core/look'
import { Memo } from '../core/memo'
import { BareSkinCache, IncrementalCompositor, paintSeveral } from '../core/raster'
import { prepared, readSvg } from '../core/stencil'
import { paints } from '../demo/paints'
import { shelf, shelfSvg } from '../demo/shelf'
import { medianOf, timed, type Table } from './table'
import { twenty } from './twenty'

const PX = 4
const RUNS = 3

/** The demo's stencils by their ids, ready to be painted. */
const demoSheets = () =>
  new Map(
    shelf.map(({ id, name, kind }) => [id, prepared({ id, name, kind, ...readSvg(shelfSvg(id)).sheet })]),
  )

/** The finest that a whole picture is painted, px/mm, and a part of it that a stage shows at that, mm. */
const FINEST = 6
const STAGE = { minX: -60, minY: -50, maxX: 60, maxY: 50 }

/** What is seen from near, against painting the whole picture as fine. */
export function nearRows(table: Table): void {
  const ground = groundFor(twenty)
  const sheets = demoSheets()
  const world = withSteps(
    { ground, stencil: id => sheets.get(id), paint: () => undefined, memo: new Memo() },
    twenty.steps,
  )
  const painted = (box?: Box) =>
    medianOf(RUNS, () =>
      timed(() => {
        const bare = new BareSkinCache(1e9).of(twenty, ground, FINEST, { box })
        const painting = new IncrementalCompositor(bare)
        for (const _ of painting.toward(twenty.steps, world, s => s.id)) void _
        painting.whole()
      }),
    )
  const whole = { words: 'the whole as fine', value: painted() }
  table.row('what is seen from near, painted from nothing', painted(STAGE), { ratio: 0.5 }, whole)
}

/** Tries of a look of 20 steps, and nine alternatives of one of them, against painting that look once. */
export async function tryRows(table: Table): Promise<void> {
  const sheets = demoSheets()
  const ground = groundFor(twenty)
  const memo = new Memo()
  const worldOf = (look: Look): World =>
    withSteps({ ground, stencil: id => sheets.get(id), paint: () => undefined, memo }, look.steps)
  const bares = new BareSkinCache(1e9)
  const bare = bares.of(twenty, ground, PX)
  const keyOf = () => (step: Step) => JSON.stringify(step)
  const once = medianOf(RUNS, () =>
    timed(() => {
      const painting = new IncrementalCompositor(bare, true)
      for (const _ of painting.toward(twenty.steps, worldOf(twenty), keyOf())) painting.compared()
      painting.whole()
    }),
  )
  const painted = { words: 'painting that look once', value: once }

  // Each try differs from the look in two steps: one in the middle, and the last one.
  const tries = Array.from({ length: 6 }, (_, n): Look => ({
    ...twenty,
    id: `t${n}`,
    steps: twenty.steps.map((s, i) => (i === 8 + n || i === 19 ? { ...s, tilt: s.tilt + 15 * n } : s)),
  }))
  const six = medianOf(RUNS, () =>
    timed(() => {
      const list = tries.map(look => ({ look, world: worldOf(look) }))
      for (const _ of paintSeveral(list, PX, () => bare, keyOf)) void _
    }),
  )
  table.row('six tries of a look of 20 steps, side by side', six, { ratio: 2 }, painted)

  const job = nineJob({
    worldOf,
    kit: () => paints,
    bareOf: async () => bare,
    keyOfSteps: keyOf,
    pause: async () => {},
  })
  const wish = {
    look: twenty,
    stepId: 's10',
    place: { minX: -70, minY: 0, maxX: 70, maxY: 70 },
    pinned: [],
    seen: [],
    pxPerMm: PX,
  }
  const times: number[] = []
  const firsts: number[] = []
  for (let n = 0; n < RUNS; n++) {
    const from = performance.now()
    let first = 0
    const { count } = await job.nine(
      wish,
      async () => [],
      () => {
        first ||= performance.now() - from
      },
    )
    if (count !== 9) throw new Error(`Only ${count} alternatives were painted.`)
    times.push(performance.now() - from)
    firsts.push(first)
  }
  const middle = (list: number[]) => list.sort((a, b) => a - b)[RUNS >> 1]!
  table.row('nine alternatives of a step of 20, all painted', middle(times), { ratio: 3 }, painted)
  table.row('the first of them', middle(firsts), { most: 1000 }, painted)
}
