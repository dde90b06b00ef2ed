import { analyse, readSvg, summaryOf } from '../core/stencil'
import { looksIn } from '../server/db/looks'
import { openDb } from '../server/db/open'
import { paintsIn } from '../server/db/paints'
import { stencilsIn } from '../server/db/stencils'
import { looks } from './looks'
import { paints } from './paints'
import { shelf, shelfSvg } from './shelf'

/**
 * Puts what is missing of the demo into the database; what is there, changed or deleted by its user stays as
 * it is.
 */
export function seed(file?: string): { stencils: number; paints: number; looks: number } {
  const db = openDb(file)
  const at = new Date().toISOString()
  const added = { stencils: 0, paints: 0, looks: 0 }
  const drawer = stencilsIn(db)
  const kit = paintsIn(db)
  const gallery = looksIn(db)
  db.transaction(() => {
    for (const { id, name, kind, tags, zones, heading } of shelf) {
      if (drawer.find(id)) continue
      const svg = shelfSvg(id)
      const { sheet } = readSvg(svg)
      const analysis = analyse(sheet)
      drawer.create(
        id,
        sheet,
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
    for (const paint of paints) {
      if (kit.knows(paint.id)) continue
      kit.create(paint)
      added.paints++
    }
    for (const look of looks) {
      if (gallery.knows(look.id)) continue
      gallery.create(look, at)
      added.looks++
    }
  })()
  db.close()
  return added
}

if (process.argv[1]?.endsWith('seed.ts')) {
  const added = seed()
  console.log(`demo: added ${added.stencils} stencils, ${added.paints} paints, ${added.looks} looks`)
}
