import loadHighs from 'highs'
import type { Problem } from '#core/order'

/** Text of a number as a mixed-integer program has it. */
const n = (v: number): string => (v < 0 ? `- ${-v}` : `+ ${v}`)

/**
 * Work for one pair of hands as a mixed-integer program in CPLEX LP format: starts, which tasks are done, and which
 * of every two comes first, with a constant larger than any time.
 * @param budget seconds within which all is done; Infinity when the shortest order of everything is looked for
 */
function program({ tasks, lags, pairs, needs }: Problem, budget: number): string {
  const all = tasks.map((_, i) => i)
  const M = tasks.reduce((s, t) => s + t.seconds, 0) + lags.reduce((s, l) => s + l.least, 0) + 1
  const choosing = budget < Infinity
  const done = (i: number) => `x${i}`
  // Worth counts before time: a second less can never make up for a star.
  const worth = all.filter(i => tasks[i]!.worth !== null)
  const objective = choosing
    ? `obj: F ${worth.map(i => n(-10 * M * tasks[i]!.worth!) + ` ${done(i)}`).join(' ')}`
    : 'obj: F'
  const rows: string[] = []
  for (const i of all) rows.push(`s${i} - F + ${M} ${done(i)} <= ${M - tasks[i]!.seconds}`)
  for (const i of all)
    for (const j of all.filter(k => k > i)) {
      // One of two that are done is over before the other begins.
      rows.push(
        `s${j} - s${i} - ${M} y${i}_${j} - ${M} ${done(i)} - ${M} ${done(j)} >= ${tasks[i]!.seconds - 3 * M}`,
      )
      rows.push(
        `s${i} - s${j} + ${M} y${i}_${j} - ${M} ${done(i)} - ${M} ${done(j)} >= ${tasks[j]!.seconds - 2 * M}`,
      )
    }
  for (const { from, to, least, most } of lags) {
    const end = tasks[from]!.seconds
    rows.push(`s${to} - s${from} - ${M} ${done(from)} - ${M} ${done(to)} >= ${end + least - 2 * M}`)
    if (most < Infinity)
      rows.push(`s${to} - s${from} + ${M} ${done(from)} + ${M} ${done(to)} <= ${end + most + 2 * M}`)
  }
  for (const i of all) if (!choosing || tasks[i]!.worth === null) rows.push(`${done(i)} = 1`)
  for (const [a, b] of pairs) rows.push(`${done(a)} - ${done(b)} = 0`)
  for (const [a, b] of needs) rows.push(`${done(a)} - ${done(b)} <= 0`)
  if (choosing) rows.push(`F <= ${budget}`)
  const bounds = [...all.map(i => `0 <= s${i} <= ${M}`), `0 <= F <= ${M}`]
  const binaries = [...all.map(done), ...all.flatMap(i => all.filter(j => j > i).map(j => `y${i}_${j}`))]
  return `Minimize\n ${objective}\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBounds\n ${bounds.join('\n ')}\nBinary\n ${binaries.join(' ')}\nEnd\n`
}

/** What a general solver finds: the finish, and the worth of what is done; null when it cannot be. */
export interface Solved {
  readonly finish: number
  readonly worth: number
}

/** A general mixed-integer solver (HiGHS; Huangfu and Hall 2018, Mathematical Programming Computation 10:119). */
export async function solver(): Promise<(problem: Problem, budget?: number) => Solved | null> {
  const highs = await loadHighs()
  return (problem, budget = Infinity) => {
    const answer = highs.solve(program(problem, budget), { mip_rel_gap: 0, mip_abs_gap: 1e-7 })
    if (answer.Status !== 'Optimal') return null
    const columns = answer.Columns as Record<string, { Primal: number }>
    return {
      finish: columns.F!.Primal,
      worth: problem.tasks.reduce(
        (sum, t, i) => sum + (t.worth !== null && columns[`x${i}`]!.Primal > 0.5 ? t.worth : 0),
        0,
      ),
    }
  }
}
