import { dirname } from 'node:path'
import { dataFile } from '../../db/open'

/** Where everything is kept, whether something is wrong there, and the backups. */
export default defineEventHandler(() => {
  let trouble: string | null = null
  try {
    useRepositories()
  } catch (error) {
    trouble = houseTrouble(error)?.message ?? String(error)
  }
  return { folder: dirname(dataFile()), trouble, backups: backups() }
})
