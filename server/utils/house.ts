import { existsSync, renameSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { dataFile, projectFolder } from '../db/open'
import { openHouse, type House } from '../db/house'
import { troubleIn } from '../db/trouble'
import { PaintAhead, rendererVersion } from '../pool/paintAhead'
import { Pool } from '../pool/pool'

/** How long after a failure the data file is looked at again, ms. */
const AGAIN_MS = 2000
let house: House | null = null
let refused: { error: unknown; at: number } | null = null
let pool: Pool | null = null
let ahead: PaintAhead | null = null

/**
 * The repositories, opened once. Throws HouseTrouble while the data cannot be opened, and tries again with
 * every request.
 */
export function useRepositories(): House {
  if (house) return house
  // Looking through a damaged file takes a while, and every request asks.
  if (refused && Date.now() - refused.at < AGAIN_MS) throw refused.error
  try {
    house = openHouse()
    refused = null
    return house
  } catch (error) {
    refused = { error, at: Date.now() }
    throw error
  }
}

/** Lets go of a data file that turned out to be damaged: nothing more is written to it. */
export function closeHouse(): void {
  house?.db.close()
  house = ahead = null
}

/** What an error means for the painter, when it comes of the data file or the disk. */
export const houseTrouble = (error: unknown) => troubleIn(error, dataFile())

/** The worker's module: beside the built server, else as it was bundled for development. */
function workerFile(): string {
  const built = fileURLToPath(new URL('./worker.mjs', import.meta.url))
  return existsSync(built) ? built : join(projectFolder(), 'node_modules/.cache/janusform/worker.mjs')
}

/** The worker threads. */
export const usePool = (): Pool => (pool ??= new Pool(pathToFileURL(workerFile()).href))

/** Who paints the gallery's pictures ahead. */
export const usePaintAhead = (): PaintAhead =>
  (ahead ??= new PaintAhead(useRepositories(), usePool(), rendererVersion(workerFile())))

/**
 * Puts another data file in the place of the present one, which is kept beside it under a name that tells when.
 * @returns the name under which the file of before is kept; null when there was none
 */
export function replaceHouse(fresh: string, at: Date): string | null {
  closeHouse()
  refused = null
  const file = dataFile()
  const before = existsSync(file) ? `${file}.before-${at.toISOString().replace(/[:.]/g, '-')}` : null
  if (before) {
    // What had not been written back yet goes with it.
    for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) renameSync(file + end, before + end)
  }
  renameSync(fresh, file)
  return before
}
