// One line a look, of the demo and of the tests: what its picture, SVG, step sheet and findings come to. Run
// before and after a change that should change none of them, and compare: npm run fingerprint
import { createHash } from 'node:crypto'
import { looks as demoLooks } from '../demo/looks'
import { paints } from '../demo/paints'
import { shelf, shelfSvg } from '../demo/shelf'
import { findingsOf } from '../core/checks'
import { lookSvg } from '../core/formats'
import { groundFor, kindOf, timesOf, withSteps, type Look, type Step, type World } from '../core/look'
import { BareSkinCache, finishedPicture, printSteps } from '../core/raster'
import { analyse, prepared, readSvg, summaryOf } from '../core/stencil'
import { looks as testLooks } from '../tests/looks'

/** Pixels to the millimetre of the pictures: the first argument, or 2. */
const FINE = Number(process.argv[2] ?? 2)
const TODAY = '2026-06-01'

const digest = (data: string | Uint8ClampedArray): string =>
  createHash('sha256').update(data).digest('hex').slice(0, 16)
const told = (value: unknown): string => digest(JSON.stringify(value))

const sheets = new Map(
  shelf.map(({ id, name, kind, heading }) => {
    const { sheet } = readSvg(shelfSvg(id))
    return [id, prepared({ id, name, kind, heading, ...sheet, axes: summaryOf(analyse(sheet)).axes })]
  }),
)
const kit = new Map(paints.map(p => [p.id, p]))
const bares = new BareSkinCache(3e8)

function stepWords(step: Step, world: World): unknown {
  const kind = kindOf(step)
  return [
    kind.lines(step, world),
    kind.effort(step, world),
    kind.boxes(step, world),
    kind.dries(step, world),
    kind.lays(step, world),
    kind.pointers(step, world),
    kind.outlines(step, world).map(o => [...o.ring]),
  ]
}

function line(look: Look): string {
  const world = withSteps(
    { ground: groundFor(look), stencil: id => sheets.get(id), paint: id => kit.get(id) },
    look.steps,
  )
  const { head, grain } = bares.of(look, world.ground, FINE)
  const picture = finishedPicture(head, printSteps(head, look.steps, world, grain))
  const parts = {
    picture: digest(picture),
    svg: digest(lookSvg(look, world)),
    words: told(look.steps.map(step => stepWords(step, world))),
    findings: told(findingsOf(look, world, paints, [], TODAY)),
    seconds: timesOf(look, world).finish.toFixed(3),
  }
  return `${look.name.padEnd(20)} ${Object.entries(parts).flat().join(' ')}`
}

for (const look of [...demoLooks, ...testLooks]) console.log(line(look))
