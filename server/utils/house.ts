import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { dataFile, projectFolder } from '../db/open'
import { openHouse, type House } from '../db/house'
import { swapped, tidiedFolder } from '../db/swap'
import { trouble, troubleIn } from '../db/trouble'
import { PaintAhead, rendererVersion } from '../pool/paintAhead'
import { Pool } from '../pool/pool'

/** How long after a failure the data file is looked at again, ms. */
const AGAIN_MS = 2000
let house: House | null = null
let refused: { error: unknown; at: number } | null = null
/** Whether the data file that was open is not where it was. */
let gone = false
/** Whether what an earlier run left half done was looked for. */
let tidy = false
let pool: Pool | null = null
let ahead: PaintAhead | null = null

/**
 * The repositories, opened once. Throws HouseTrouble while the data cannot be opened, and tries again with
 * every request.
 */
export function useRepositories(): House {
  if (house && !house.stands()) {
    closeHouse()
    gone = true
  }
  if (house) return house
  // A new house in its place would look as if all were lost.
  if (gone && !existsSync(dataFile())) throw trouble('GONE', dataFile())
  // Looking through a damaged file takes a while, and every request asks.
  if (refused && Date.now() - refused.at < AGAIN_MS) throw refused.error
  try {
    if (!tidy) tidiedFolder(dataFile())
    tidy = true
    house = openHouse()
    refused = null
    gone = false
    return house
  } catch (error) {
    refused = { error, at: Date.now() }
    throw error
  }
}

/** Lets go of a data file that turned out to be damaged: nothing more is written to it. */
export function closeHouse(): void {
  ahead?.stop()
  house?.db.close()
  house = ahead = null
}

/**
 * Sees before an answer says that something is kept that the data file is still the one that was opened.
 * @throws HouseTrouble when it was moved, deleted or replaced
 */
export function confirmKept(): void {
  if (!house || house.stands()) return
  closeHouse()
  gone = true
  throw trouble('GONE', dataFile())
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
  gone = false
  return swapped(dataFile(), fresh, at)
}
