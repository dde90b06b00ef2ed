import { createWriteStream, existsSync, mkdirSync, rmSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { H3Event } from 'h3'
import { dataFile } from '../../db/open'

/** Bytes of the largest backup that is taken in. */
const MOST_BYTES = 512 * 1024 * 1024

/** Writes the file that was sent beside the data; refused as soon as it is too large. */
async function received(event: H3Event, file: string): Promise<void> {
  let bytes = 0
  const counted = new Transform({
    transform(part: Buffer, _encoding, done) {
      bytes += part.byteLength
      done(
        bytes > MOST_BYTES ? refusal(413, 'The file is larger than any backup, and was not read.') : null,
        part,
      )
    },
  })
  mkdirSync(dirname(file), { recursive: true })
  await pipeline(event.node.req, counted, createWriteStream(file))
}

/**
 * Puts everything back as a backup has it: `?name=` of one that is kept, else the file that is sent. What was
 * there before is kept: as a backup where it can be read, and as the data file that it was.
 */
export default defineEventHandler(async event => {
  const name = getQuery(event).name
  const kept = typeof name === 'string' ? backupFile(name) : null
  if (name !== undefined && !kept) throw refusal(404, 'There is no such backup.')
  const stamp = Date.now()
  const sent = join(dirname(dataFile()), `received-${stamp}.tmp`)
  const fresh = join(dirname(dataFile()), `restored-${stamp}.tmp`)
  try {
    if (!kept) await received(event, sent)
    const read = await jobFor(event, 'readBackup', { archive: kept ?? sent, target: fresh })
    if (existsSync(dataFile())) await makeBackup('by-hand').catch(() => null)
    const before = replaceHouse(fresh, new Date(stamp))
    usePaintAhead().soon()
    return { ...read, before: before && basename(before) }
  } finally {
    for (const left of [sent, fresh]) rmSync(left, { force: true })
  }
})
