import { dirname } from 'node:path'
import { dataFile } from '../../db/open'
import type { Damaged } from '../../pool/damage'

/** What cannot be read where it is kept. */
function unreadable(): Damaged[] {
  const { looks, stencils, paints } = useRepositories()
  return [
    ...looks
      .list()
      .filter(look => look.drawn === '')
      .map(({ id, name }) => ({ kind: 'look' as const, id, name })),
    ...stencils.damaged().map(name => ({ kind: 'stencil' as const, id: name, name })),
    ...paints.damaged().map(name => ({ kind: 'paint' as const, id: name, name })),
  ]
}

/** Where everything is kept, whether something is wrong there, and the backups. */
export default defineEventHandler(() => {
  let trouble: string | null = null
  const damaged: Damaged[] = []
  const changed: Damaged[] = []
  try {
    damaged.push(...unreadable())
    const known = new Set(damaged.map(({ kind, name }) => `${kind} ${name}`))
    changed.push(...changedOnDisk().filter(({ kind, name }) => !known.has(`${kind} ${name}`)))
  } catch (error) {
    trouble = houseTrouble(error)?.message ?? String(error)
  }
  const folder = dirname(dataFile())
  return { folder, trouble, damaged, changed, backups: backups(), earlier: earlierFiles() }
})
