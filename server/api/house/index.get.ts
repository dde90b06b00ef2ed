import { dirname } from 'node:path'
import { dataFile } from '../../db/open'

/** Where everything is kept, whether something is wrong there, and the backups. */
export default defineEventHandler(() => {
  let trouble: string | null = null
  const damaged: string[] = []
  try {
    const { looks, stencils, paints } = useRepositories()
    damaged.push(
      ...looks
        .list()
        .filter(l => l.drawn === '')
        .map(l => l.name),
      ...stencils.damaged(),
      ...paints.damaged(),
    )
  } catch (error) {
    trouble = houseTrouble(error)?.message ?? String(error)
  }
  return { folder: dirname(dataFile()), trouble, damaged, backups: backups(), earlier: earlierFiles() }
})
