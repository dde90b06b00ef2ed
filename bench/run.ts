// Measures what must be fast, and holds it against limits: npm run bench. With -- --check it fails past a limit,
// with -- --core it leaves out what needs the built server and a browser.
import { sittingRows } from './chair'
import { coreRows } from './core'
import { orderRows } from './order'
import { photoRows } from './photo'
import { siteRows } from './site'
import { Table } from './table'
import { nearRows, tryRows } from './tries'

const table = new Table()
coreRows(table)
sittingRows(table)
photoRows(table)
nearRows(table)
await tryRows(table)
await orderRows(table)
if (!process.argv.includes('--core')) await siteRows(table)
table.finish(process.argv.includes('--check'))
