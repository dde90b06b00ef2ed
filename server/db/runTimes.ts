import { parseRun, timesIn } from '../../core/chair'
import type { Db } from './open'
import { jsonOr } from './ways'

/** Works out anew what each run tells of the painter's pace; a damaged one tells nothing. */
export function fillTimes(db: Db): void {
  const rows = db.prepare<[], { id: string; doc: string }>('SELECT id, doc FROM runs')
  const put = db.prepare<[string, string]>('UPDATE runs SET times = ? WHERE id = ?')
  for (const { id, doc } of rows.all()) {
    const parsed = parseRun(jsonOr(doc))
    put.run(JSON.stringify(parsed.ok ? timesIn(parsed.run) : []), id)
  }
}
