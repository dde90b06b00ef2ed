import { z } from 'zod'
import { bounded, idSchema, issueWords, textSchema, toolSchema, wetnessSchema, withoutUnseen } from '../look'
import { pacesOf, type Pace, type TaskTime } from '../order'

export const RUN_FORMAT = 'janusform-run'

/** How much of a look was painted. */
export const LENGTHS = ['whole', 'shorter', 'three waiting', 'ten waiting'] as const
export type Length = (typeof LENGTHS)[number]
/** How a step went, one tap each. */
export const OUTCOMES = ['fine', 'bled', 'shifted', 'did not show', 'smudged'] as const
export type Outcome = (typeof OUTCOMES)[number]
/** What became of a step. */
export const ENDINGS = ['done', 'skipped', 'left out', 'open'] as const

const oneOf = <T extends string>(words: readonly [T, ...T[]]) =>
  z.enum(words, { error: `must be one of ${words.join(', ')}` })
const instant = z.iso.datetime({ error: 'must be a day and time such as 2026-11-26T14:05:00Z' })
/** Nobody sits longer than a day, s. */
const seconds = bounded(0, 86_400)

/** A text of one line, without letters that nobody sees. */
const seenText = (most: number) => textSchema(most).overwrite(withoutUnseen)

const runStepSchema = z.strictObject({
  id: idSchema,
  label: textSchema(60),
  /** Kind of task: see taskOf. */
  task: textSchema(60),
  /** Seconds as they were told before, and by the starting values alone. */
  planned: seconds,
  usual: seconds,
  /** Seconds of the hands the last time that it was done; null where nobody counted. */
  seconds: seconds.nullable(),
  /** Seconds that the hands waited before it for something to dry. */
  waited: seconds,
  /** Seconds of tries that were begun again. */
  lost: seconds,
  ending: oneOf(ENDINGS),
  /** Whether it was put behind a later one. */
  swapped: z.boolean({ error: 'must be true or false' }),
  /** How often it was begun again because somebody moved. */
  again: z.int('must be a whole number').min(0).max(99),
  went: oneOf(OUTCOMES).nullable(),
  /** What it was dabbed with and the narrowest bridge there (mm), where a bridge could have bled. */
  bridge: z.strictObject({ tool: toolSchema, wetness: wetnessSchema, width: bounded(0.05, 50) }).nullable(),
})
export type RunStep = z.infer<typeof runStepSchema>

/** How one painting went: by ticket number only, nothing that names a person. */
export const runSchema = z.strictObject({
  format: z.literal(RUN_FORMAT, { error: `must be "${RUN_FORMAT}"` }),
  version: z.literal(1, { error: 'must be 1; a later file needs a later version of the application' }),
  id: idSchema,
  look: z.strictObject({
    /** Null for one that was painted without a look. */
    id: idSchema.nullable(),
    name: seenText(80).min(1, 'must not be empty'),
    version: z.int('must be a whole number').min(0).nullable(),
  }),
  length: oneOf(LENGTHS),
  /** Which device it was written down on. */
  device: textSchema(40),
  /** Whether it was typed in afterwards. */
  typed: z.boolean({ error: 'must be true or false' }),
  startedAt: instant,
  endedAt: instant.nullable(),
  ticket: seenText(20),
  /** In what room; null where nobody looked. */
  room: z
    .strictObject({
      temperature: bounded(0, 45),
      humidity: bounded(0, 1),
      air: oneOf(['still', 'fan', 'sun']),
    })
    .nullable(),
  /** Seconds in the chair without pauses, planned and as it was; and of pauses. */
  planned: seconds,
  seconds,
  paused: seconds,
  note: textSchema(2000),
  /** Whether the painter has left it out of the own pace; it is not when left out. */
  leftOut: z.boolean({ error: 'must be true or false' }).optional(),
  steps: z.array(runStepSchema).max(80, 'must not have more than 80 steps'),
})
export type Run = z.infer<typeof runSchema>

/** A run read from parsed JSON, or sentences that say what is wrong where. */
export function parseRun(data: unknown): { ok: true; run: Run } | { ok: false; errors: string[] } {
  const result = runSchema.safeParse(data)
  if (result.success) {
    const { startedAt, endedAt } = result.data
    return endedAt !== null && endedAt < startedAt
      ? { ok: false, errors: ['The run ends before it begins.'] }
      : { ok: true, run: result.data }
  }
  return {
    ok: false,
    errors: result.error.issues.slice(0, 10).map(issue => {
      const [first, n, ...rest] = issue.path
      const inStep = first === 'steps' && typeof n === 'number'
      const field = (inStep ? rest : issue.path).map(String).join('.')
      const where = inStep ? `Step ${n + 1} of the run` : 'The run'
      return `${where}${field ? `: "${field}"` : ''} ${issueWords(issue)}.`
    }),
  }
}

/** Whether a run counts for the painter's pace, or why it does not. */
export type Standing = 'counts' | 'not ended' | 'clicked through' | 'left out' | 'no times'

/** The part of a run that tells of a pace. */
type Timed = Pick<Run, 'steps' | 'endedAt' | 'leftOut' | 'typed' | 'seconds' | 'planned'>

/**
 * Nobody paints a step in so small a share of its usual time, or in so few seconds; and nobody a whole look in so
 * small a share (common practice).
 */
const STEP_SHARE = 0.25
const STEP_LEAST = 2
const WHOLE_SHARE = 0.4

const doneIn = ({ steps }: Pick<Run, 'steps'>) =>
  steps.flatMap(s => (s.ending === 'done' && s.seconds !== null ? [{ ...s, seconds: s.seconds }] : []))
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0)

/** Whether the steps of a run were only pressed through. */
function clickedThrough(run: Pick<Run, 'steps'>): boolean {
  const done = doneIn(run)
  const quick = done.filter(s => s.seconds < Math.max(STEP_LEAST, STEP_SHARE * s.usual)).length
  const whole = sum(done.map(s => s.seconds)) < WHOLE_SHARE * sum(done.map(s => s.usual))
  return done.length > 0 && (quick > done.length / 2 || whole)
}

/** Whether a run counts for the painter's pace. */
export function standingOf(run: Timed): Standing {
  if (run.endedAt === null) return 'not ended'
  if (run.leftOut) return 'left out'
  if (!run.typed && clickedThrough(run)) return 'clicked through'
  return timesOfRun(run).length ? 'counts' : 'no times'
}

/** Times of steps that were done in one go; of a total that was typed in, one for each kind of task in the look. */
function timesOfRun(run: Timed): TaskTime[] {
  if (!run.typed)
    return doneIn(run).flatMap(({ task, usual, seconds, again }) =>
      seconds > 0 && again === 0 ? [{ task, usual, seconds }] : [],
    )
  // Waiting for paint to dry is no pace of the hands.
  const hands = sum(run.steps.map(s => s.planned))
  const waiting = Math.max(0, run.planned - hands)
  const ratio = hands > 0 ? Math.max(0, run.seconds - waiting) / hands : 0
  const tasks = [...new Set(run.steps.map(s => s.task))]
  return tasks.flatMap(task => {
    const own = run.steps.filter(s => s.task === task)
    const seconds = ratio * sum(own.map(s => s.planned))
    return seconds > 0 ? [{ task, usual: sum(own.map(s => s.usual)), seconds }] : []
  })
}

/** The times of a run that tell of the painter's pace; none of one that does not count. */
export const timesIn = (run: Timed): TaskTime[] => (standingOf(run) === 'counts' ? timesOfRun(run) : [])

/** The painter's own paces from all runs that count. */
export const pacesIn = (runs: readonly Timed[]): Pace[] => pacesOf(runs.flatMap(timesIn))

/** Past a bridge that bled, the narrowest that is still clear is at least so many times as wide (common practice). */
const CLEARS = 1.25

/** A reading of the bridge ladder that a bled step suggests: a bridge so wide may have stayed clear, mm. */
export interface SuggestedReading {
  readonly step: RunStep
  readonly bridge: number
}

/** What steps that bled say of tools: an estimate, for the painter to take or to leave. */
export const readingsFrom = ({ steps }: Pick<Run, 'steps'>): SuggestedReading[] =>
  steps.flatMap(step =>
    step.went === 'bled' && step.bridge
      ? [{ step, bridge: Math.round(10 * CLEARS * step.bridge.width) / 10 }]
      : [],
  )
