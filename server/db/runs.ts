import { parseRun, timesIn, type Run } from '../../core/chair'
import { pacesOf, type Pace, type TaskTime } from '../../core/order'
import type { Db } from './open'
import { jsonOr } from './ways'

/** A run as it is kept: the record, and whether there is a picture of it. */
export interface KeptRun {
  readonly run: Run
  readonly picture: boolean
}

/** Another device on which the same look is being painted. */
export interface ElsewhereRun {
  readonly startedAt: string
  readonly ticket: string
}

interface Row {
  doc: string
  pictured: number
}

/** Runs that were heard of within so many ms are still going on. */
const GOING_ON_MS = 15 * 60_000

const COLUMNS = 'doc, picture IS NOT NULL AS pictured'

const statements = (db: Db) => ({
  // Nothing is parsed to be listed: what is damaged is passed over by the database.
  all: db.prepare<[], Row>(
    `SELECT ${COLUMNS} FROM runs WHERE deleted_at IS NULL AND json_valid(doc) ORDER BY started_at DESC, id`,
  ),
  one: db.prepare<[string], Row>(`SELECT ${COLUMNS} FROM runs WHERE id = ? AND deleted_at IS NULL`),
  known: db.prepare<[string], { sent: number; gone: number }>(
    'SELECT sent, deleted_at IS NOT NULL AS gone FROM runs WHERE id = ?',
  ),
  put: db.prepare(
    `INSERT INTO runs (id, look_id, started_at, ended_at, device, sent, heard_at, times, doc)
     VALUES (@id, @lookId, @startedAt, @endedAt, @device, @sent, @heardAt, @times, @doc)
     ON CONFLICT (id) DO UPDATE SET look_id = @lookId, started_at = @startedAt, ended_at = @endedAt,
       device = @device, sent = @sent, heard_at = @heardAt, times = @times, doc = @doc`,
  ),
  bury: db.prepare<[string, string]>('UPDATE runs SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL'),
  raise: db.prepare<[string]>('UPDATE runs SET deleted_at = NULL WHERE id = ?'),
  others: db.prepare<[string, string, string, string], { doc: string }>(
    `SELECT doc FROM runs WHERE look_id = ? AND device <> ? AND id <> ? AND ended_at IS NULL
       AND deleted_at IS NULL AND heard_at > ?`,
  ),
  setPicture: db.prepare<[Buffer | null, string]>('UPDATE runs SET picture = ? WHERE id = ?'),
  picture: db.prepare<[string], Buffer>('SELECT picture FROM runs WHERE id = ?').pluck(),
  /** Only what was brought to its end tells of a pace. */
  times: db
    .prepare<[], string>('SELECT times FROM runs WHERE deleted_at IS NULL AND ended_at IS NOT NULL')
    .pluck(),
  /** Another text whenever a run that tells of a pace is changed. */
  stamp: db
    .prepare<[], string>(
      `SELECT count(*) || ' ' || coalesce(sum(sent), 0) || ' ' || coalesce(max(heard_at), '') FROM runs
       WHERE deleted_at IS NULL AND ended_at IS NOT NULL`,
    )
    .pluck(),
})

const readRow = ({ doc, pictured }: Row): KeptRun[] => {
  const parsed = parseRun(jsonOr(doc))
  return parsed.ok ? [{ run: parsed.run, picture: pictured === 1 }] : []
}

/** The painter's own paces: asked for with every picture, and changed only when a run was ended. */
function pacesFrom({ stamp, times }: ReturnType<typeof statements>): () => Pace[] {
  let paces: { key: string; found: Pace[] } | null = null
  return () => {
    const key = stamp.get() ?? ''
    if (paces?.key !== key) {
      const all = times.all().flatMap(text => (jsonOr(text) ?? []) as TaskTime[])
      paces = { key, found: pacesOf(all) }
    }
    return paces.found
  }
}

/** How paintings went. */
export function runsIn(db: Db) {
  const sql = statements(db)
  const { all, one, known, put, bury, raise, others, setPicture, picture } = sql
  /** Keeps a run, once, however often it is sent: an older one never replaces a newer one. */
  function keep(run: Run, sent: number, heardAt: string): 'kept' | 'older' | 'deleted' {
    const before = known.get(run.id)
    if (before?.gone) return 'deleted'
    const doc = JSON.stringify(run)
    // Two that cross with one count: only the same once more is the same; another is to be sent as newer.
    if (before && (before.sent > sent || (before.sent === sent && one.get(run.id)?.doc !== doc)))
      return 'older'
    const { id, look, startedAt, endedAt, device } = run
    const times = JSON.stringify(timesIn(run))
    put.run({ id, lookId: look.id, startedAt, endedAt, device, sent, heardAt, times, doc })
    return 'kept'
  }
  const sentSoFar = (id: string): number => known.get(id)?.sent ?? 0
  return {
    /** All runs that can be read, the newest first. */
    all: (): KeptRun[] => all.all().flatMap(readRow),
    /** The same as JSON text, a KeptRun each. */
    listed: (): string =>
      `[${all
        .all()
        .map(r => `{"run":${r.doc},"picture":${r.pictured === 1}}`)
        .join(',')}]`,
    find: (id: string): KeptRun | null => one.all(id).flatMap(readRow)[0] ?? null,
    /**
     * Keeps a run.
     * @param sent how often its device has changed it
     * @returns what was done with it
     */
    put: keep,
    /** Takes those of some runs that are not there yet, all at once; returns how many they were. */
    take: db.transaction((runs: readonly Run[], at: string): number => {
      const fresh = runs.filter(run => sentSoFar(run.id) === 0)
      for (const run of fresh) keep(run, 1, at)
      return fresh.length
    }),
    /** How often a run was changed so far; 0 for one that is not there. */
    sent: sentSoFar,
    remove: (id: string, at: string): boolean => bury.run(at, id).changes > 0,
    restore: (id: string): boolean => raise.run(id).changes > 0,
    /** Where else the same look is being painted now. */
    elsewhere({ id, look, device }: Run, now: Date): ElsewhereRun[] {
      if (look.id === null) return []
      const since = new Date(now.getTime() - GOING_ON_MS).toISOString()
      return others.all(look.id, device, id, since).flatMap(({ doc }) => {
        const parsed = parseRun(jsonOr(doc))
        return parsed.ok ? [{ startedAt: parsed.run.startedAt, ticket: parsed.run.ticket }] : []
      })
    },
    setPicture: (id: string, png: Buffer | null): boolean => setPicture.run(png, id).changes > 0,
    picture: (id: string): Buffer | null => picture.get(id) ?? null,
    /** The painter's own paces, from all runs that were ended. */
    paces: pacesFrom(sql),
  }
}
