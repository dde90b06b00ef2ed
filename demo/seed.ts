import { existsSync } from 'node:fs'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { sheetJson } from '../core/formats'
import { parseLook } from '../core/look'
import { analyse, readSvg, summaryOf } from '../core/stencil'
import { openHouse } from '../server/db/house'
import { HouseTrouble } from '../server/db/trouble'
import { PaintAhead, rendererVersion } from '../server/pool/paintAhead'
import { Pool } from '../server/pool/pool'
import { cakeToMake, triedCakes } from './cakes'
import { looks } from './looks'
import { paints } from './paints'
import { shelf, shelfSvg, type ShelfEntry } from './shelf'

/** A demo stencil, read and measured. */
function measured(entry: ShelfEntry) {
  const svg = shelfSvg(entry.id)
  const { sheet } = readSvg(svg)
  return { entry, svg, sheet, analysis: analyse(sheet) }
}

/**
 * Puts what is missing of the demo into the database; what is there, changed or deleted by its user stays as
 * it is.
 * @param file the database; the usual one where it is left out
 * @param chosen the looks that are put in, with every stencil and paint
 */
export function seed(file?: string, chosen = looks): { stencils: number; paints: number; looks: number } {
  const { db, stencils: drawer, paints: kit, looks: gallery, settings } = openHouse(file)
  const at = new Date().toISOString()
  // Measured before anything is written: nobody else who writes meanwhile waits for it.
  const sheets = shelf.filter(({ id }) => !drawer.find(id)).map(measured)
  const added = { stencils: 0, paints: 0, looks: 0 }
  db.transaction(() => {
    for (const { entry, svg, sheet, analysis } of sheets) {
      const { id, name, kind, tags, zones, heading } = entry
      // Asked twice at once, it is there by now.
      if (drawer.find(id)) continue
      drawer.create(
        id,
        { geometry: JSON.stringify(sheetJson(sheet)), width: sheet.width, height: sheet.height },
        {
          name,
          kind,
          tags,
          zones,
          heading,
          copies: tags.includes('draft') ? 0 : kind === 'texture' ? 2 : 1,
          notes: '',
          material: 'mylar',
          cleanedOn: null,
          groups: analysis.groups,
          analysis: summaryOf(analysis),
          mendedFrom: null,
        },
        svg,
        at,
      )
      added.stencils++
    }
    for (const paint of [...paints, cakeToMake]) {
      if (kit.knows(paint.id)) continue
      kit.create(paint)
      added.paints++
    }
    if (added.paints && !settings.cakes().length) settings.setCakes(triedCakes)
    for (const look of chosen) {
      if (gallery.knows(look.id)) continue
      // What could not be saved again is not put in.
      const read = parseLook(JSON.parse(JSON.stringify(look)))
      if (!read.ok) throw new RangeError(`The demo look "${look.name}" cannot be kept. ${read.errors[0]}`)
      gallery.create(look, at)
      added.looks++
    }
  }).immediate()
  db.close()
  return added
}

/**
 * Paints the gallery's pictures that are missing.
 * @param worker the file of the worker threads: the same one that the server uses, so that it paints none anew
 * @param onPainted is told after each picture how many were painted and how many there are to paint
 */
export async function paintGallery(
  worker: string,
  onPainted: (done: number, of: number) => void,
  file?: string,
): Promise<void> {
  const house = openHouse(file)
  const pool = new Pool(pathToFileURL(worker).href)
  try {
    await new PaintAhead(house, pool, rendererVersion(worker)).now(onPainted)
  } finally {
    await pool.close()
    house.db.close()
  }
}

/** The worker threads' file of the built server. */
const BUILT = fileURLToPath(new URL('../.output/server/worker.mjs', import.meta.url))

async function main(): Promise<void> {
  const added = seed()
  console.log(`demo: added ${added.stencils} stencils, ${added.paints} paints, ${added.looks} looks`)
  if (!existsSync(BUILT)) return
  await paintGallery(BUILT, (done, of) => {
    process.stdout.write(`${process.stdout.isTTY ? '\r' : ''}demo: painted ${done} of ${of} pictures`)
    if (!process.stdout.isTTY || done === of) process.stdout.write('\n')
  })
}

if (process.argv[1]?.endsWith('seed.ts'))
  main().catch((error: unknown) => {
    console.error(error instanceof HouseTrouble ? error.message : error)
    process.exitCode = 1
  })
