import Papa from 'papaparse'
import { ENDINGS, LENGTHS, parseRun, RUN_FORMAT, type Run } from '../chair'
import { FORMULA, unescaped } from './cells'

/** Columns of the table; those of a run stand in each of its rows. */
const OF_RUN = [
  'run',
  'look id',
  'look',
  'look version',
  'length',
  'device',
  'typed',
  'started',
  'ended',
  'ticket',
  'temperature',
  'humidity',
  'air',
  'planned s',
  'took s',
  'paused s',
  'note',
] as const
const OF_STEP = [
  'step id',
  'step',
  'task',
  'step planned s',
  'step usual s',
  'step took s',
  'waited s',
  'lost s',
  'ending',
  'swapped',
  'begun again',
  'went',
  'tool',
  'wetness',
  'bridge mm',
] as const
type Column = (typeof OF_RUN)[number] | (typeof OF_STEP)[number]
type Row = Record<string, string>

const text = (v: unknown): string => (v === null || v === undefined ? '' : String(v))

const runCells = (run: Run): unknown[] => [
  run.id,
  run.look.id,
  run.look.name,
  run.look.version,
  run.length,
  run.device,
  run.typed,
  run.startedAt,
  run.endedAt,
  run.ticket,
  run.room?.temperature,
  run.room?.humidity,
  run.room?.air,
  run.planned,
  run.seconds,
  run.paused,
  run.note,
]

const stepCells = (step: Run['steps'][number] | undefined): unknown[] =>
  step
    ? [
        step.id,
        step.label,
        step.task,
        step.planned,
        step.usual,
        step.seconds,
        step.waited,
        step.lost,
        step.ending,
        step.swapped,
        step.again,
        step.went,
        step.bridge?.tool,
        step.bridge?.wetness,
        step.bridge?.width,
      ]
    : OF_STEP.map(() => '')

/** Runs as a table for spreadsheets: a row for each step, one for a run without steps; cells are never formulas. */
export function runsCsv(runs: readonly Run[]): string {
  const rows = runs.flatMap(run =>
    (run.steps.length ? run.steps : [undefined]).map(step =>
      [...runCells(run), ...stepCells(step)].map(text),
    ),
  )
  return Papa.unparse(
    { fields: [...OF_RUN, ...OF_STEP], data: rows },
    { newline: '\r\n', escapeFormulae: FORMULA },
  )
}

const orNull = (v: string): string | null => (v === '' ? null : v)
const number = (v: string): number | null => (v === '' ? null : Number(v.replace(',', '.')))

function stepOf(cell: (c: Column) => string): unknown {
  return {
    id: cell('step id'),
    label: cell('step'),
    task: cell('task'),
    planned: number(cell('step planned s')) ?? 0,
    usual: number(cell('step usual s')) ?? number(cell('step planned s')) ?? 0,
    seconds: number(cell('step took s')),
    waited: number(cell('waited s')) ?? 0,
    lost: number(cell('lost s')) ?? 0,
    ending: cell('ending') || ENDINGS[0],
    swapped: cell('swapped') === 'true',
    again: number(cell('begun again')) ?? 0,
    went: orNull(cell('went')),
    bridge:
      cell('tool') && cell('bridge mm')
        ? { tool: cell('tool'), wetness: cell('wetness'), width: number(cell('bridge mm')) }
        : null,
  }
}

const cellsOf =
  (row: Row) =>
  (column: Column): string =>
    unescaped((row[column] ?? '').trim())

function runOf(rows: readonly Row[]): unknown {
  const cell = cellsOf(rows[0]!)
  return {
    format: RUN_FORMAT,
    version: 1,
    id: cell('run'),
    look: { id: orNull(cell('look id')), name: cell('look'), version: number(cell('look version')) },
    length: cell('length') || LENGTHS[0],
    device: cell('device') || 'from a file',
    typed: cell('typed') === 'true',
    startedAt: cell('started'),
    endedAt: orNull(cell('ended')),
    ticket: cell('ticket'),
    room:
      cell('temperature') && cell('humidity')
        ? {
            temperature: number(cell('temperature')),
            humidity: number(cell('humidity')),
            air: cell('air') || 'still',
          }
        : null,
    planned: number(cell('planned s')) ?? 0,
    seconds: number(cell('took s')) ?? 0,
    paused: number(cell('paused s')) ?? 0,
    note: cell('note'),
    steps: rows.map(cellsOf).flatMap(c => (c('step id') ? [stepOf(c)] : [])),
  }
}

/** Letters of the longest head line that is read: the columns of a log have far fewer. */
const MOST_HEAD = 4000

function fromCsv(csv: string): unknown[] | string {
  // Columns of one name are told apart before anything else is read, and that takes ever longer.
  const end = csv.search(/[\r\n]/)
  if ((end < 0 ? csv.length : end) > MOST_HEAD) return 'This is no log: its first line is far too long.'
  const { data, meta } = Papa.parse<Row>(csv, { header: true, skipEmptyLines: 'greedy' })
  const lacks = (['run', 'look', 'started'] as const).filter(c => !meta.fields?.includes(c))
  if (lacks.length) return `This is no log: it has no column ${lacks.map(c => `"${c}"`).join(' and ')}.`
  const byRun = new Map<string, Row[]>()
  for (const row of data) {
    const id = row['run'] ?? ''
    const rows = byRun.get(id)
    if (rows) rows.push(row)
    else byRun.set(id, [row])
  }
  return [...byRun.values()].map(runOf)
}

function fromJson(json: string): unknown[] | string {
  try {
    const found = JSON.parse(json) as { format?: unknown; runs?: unknown }
    if (found?.format === RUN_FORMAT) return [found]
    if (found?.format === 'janusform-log' && Array.isArray(found.runs)) return found.runs
    return 'This is no log: its "format" is not "janusform-log".'
  } catch {
    return 'This is not JSON: the file is damaged or of another kind.'
  }
}

/** Runs of one file at most. */
const MOST_RUNS = 20_000

/** Runs from a file, JSON or CSV: all of them, or sentences that say what is wrong where. */
export function runsFromText(file: string): { ok: true; runs: Run[] } | { ok: false; errors: string[] } {
  const start = file.replace(/^\uFEFF/, '').trimStart()
  if (!start) return { ok: false, errors: ['The file is empty.'] }
  const found = start.startsWith('{') || start.startsWith('[') ? fromJson(start) : fromCsv(start)
  if (typeof found === 'string') return { ok: false, errors: [found] }
  if (found.length > MOST_RUNS)
    return { ok: false, errors: [`The file has ${found.length} runs; up to ${MOST_RUNS} are read at once.`] }
  const read = found.map(parseRun)
  const errors = read.flatMap((r, i) => (r.ok ? [] : r.errors.map(e => `${i + 1}: ${e}`)))
  return errors.length
    ? { ok: false, errors: errors.slice(0, 10) }
    : { ok: true, runs: read.flatMap(r => (r.ok ? [r.run] : [])) }
}
