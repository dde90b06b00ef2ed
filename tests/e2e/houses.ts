import { fileURLToPath } from 'node:url'
import { looks as demoLooks } from '../../demo/looks'
import { paintGallery, seed } from '../../demo/seed'
import { looksIn } from '../../server/db/looks'
import { openDb } from '../../server/db/open'
import { looks } from '../looks'

/** Looks of the demo that tests of single screens use. */
const OF_DEMO = ['ember-wing', 'storm-kite', 'barn-owl', 'koi-lantern', 'tide-queen'].map(id => `demo-${id}`)
const WORKER = fileURLToPath(new URL('../../.output/server/worker.mjs', import.meta.url))

/*
 * Puts the tests' own looks into the database, with the stencils and paints of the demo.
 *   looks: with a few looks of the demo, all with their pictures; demo: what is missing of the demo, unpainted
 */
const whole = process.argv[2] === 'demo'
const db = openDb()
const gallery = looksIn(db)
for (const look of looks) if (!gallery.knows(look.id)) gallery.create(look, new Date().toISOString())
db.close()
seed(undefined, whole ? demoLooks : demoLooks.filter(look => OF_DEMO.includes(look.id)))
if (!whole) await paintGallery(WORKER, () => {})
