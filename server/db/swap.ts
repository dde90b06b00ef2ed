import Database from 'better-sqlite3'
import { copyFileSync, existsSync, linkSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'

/** As many data files of before a restore are kept. */
const MOST_BEFORE = 3
/** What is left of a file that was being written goes once nobody can be writing it any more, ms. */
const OLD_MS = 10 * 60_000
const LEFT_OVER = /^((received|restored)-\d+\.tmp(-wal|-shm|\.source)?|.*\.zip(\.db)?\.tmp)$/
const BEFORE = /\.before-[\dTZ-]+$/

/** Writes what is in the log beside a data file back into it. */
function whole(file: string): void {
  if (!existsSync(`${file}-wal`)) return
  try {
    const db = new Database(file, { timeout: 400 })
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
  } catch {
    // What is damaged is kept with its log as it is.
  }
}

/** The data files of before a restore, the newest first. */
export const beforeFiles = (file: string): string[] =>
  existsSync(dirname(file))
    ? readdirSync(dirname(file))
        .filter(name => name.startsWith(basename(file)) && BEFORE.test(name))
        .sort()
        .reverse()
    : []

/**
 * Puts another data file in the place of the present one, which is kept beside it under a name that tells when. The
 * place is never empty: the new file takes it in one step.
 * @returns the file under which the one of before is kept; null when there was none
 */
export function swapped(file: string, fresh: string, at: Date): string | null {
  if (!existsSync(file)) {
    renameSync(fresh, file)
    return null
  }
  const before = `${file}.before-${at.toISOString().replace(/[:.]/g, '-')}`
  whole(file)
  try {
    linkSync(file, before)
  } catch {
    copyFileSync(file, before)
  }
  // What could not be written back goes with the old file; it must not be taken for the new one's.
  for (const end of ['-wal', '-shm']) if (existsSync(file + end)) renameSync(file + end, before + end)
  renameSync(fresh, file)
  for (const old of beforeFiles(file).slice(MOST_BEFORE))
    for (const end of ['', '-wal', '-shm']) rmSync(join(dirname(file), old + end), { force: true })
  return before
}

/**
 * Tidies the folder of a data file: takes back a swap that was not finished, and removes files that were being
 * written when an earlier run ended.
 */
export function tidiedFolder(file: string): void {
  const folder = dirname(file)
  if (!existsSync(folder)) return
  const [newest] = beforeFiles(file)
  // Earlier versions moved the old file away before the new one was there.
  if (!existsSync(file) && newest)
    for (const end of ['', '-wal', '-shm'])
      if (existsSync(join(folder, newest + end))) renameSync(join(folder, newest + end), file + end)
  for (const inside of [folder, join(folder, 'backups')]) {
    if (!existsSync(inside)) continue
    for (const name of readdirSync(inside).filter(n => LEFT_OVER.test(n))) {
      const old = Date.now() - (statSync(join(inside, name), { throwIfNoEntry: false })?.mtimeMs ?? 0)
      if (old > OLD_MS) rmSync(join(inside, name), { force: true })
    }
  }
}
