import { looksIn } from '../../server/db/looks'
import { openDb } from '../../server/db/open'
import { looks } from '../looks'

/** Puts the tests' own looks into the database beside the demo. */
const db = openDb()
for (const look of looks) looksIn(db).create(look, new Date().toISOString())
db.close()
