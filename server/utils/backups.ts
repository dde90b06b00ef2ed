import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { dataFile } from '../db/open'
import { backupFolder } from '../pool/backup'

/** As many backups of each kind are kept. */
const MOST = 7
const DAY_MS = 24 * 3_600_000
const NAME = /^(daily|by-hand)-\d{4}-\d\d-\d\d-\d{6}\.zip$/

export type BackupKind = 'daily' | 'by-hand'

/** A backup that is kept. */
export interface BackupKept {
  readonly name: string
  readonly kind: BackupKind
  /** ISO 8601. */
  readonly madeAt: string
  readonly bytes: number
}

const folder = (): string => backupFolder(dataFile())

/** The backups that are kept, the newest first. */
export function backups(): BackupKept[] {
  if (!existsSync(folder())) return []
  return readdirSync(folder())
    .flatMap(name => {
      const kind = NAME.exec(name)?.[1] as BackupKind | undefined
      if (!kind) return []
      const { size, mtime } = statSync(join(folder(), name))
      return { name, kind, madeAt: mtime.toISOString(), bytes: size }
    })
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt))
}

/** The file of a backup by its name; null when there is none. */
export const backupFile = (name: string): string | null =>
  NAME.test(name) && existsSync(join(folder(), name)) ? join(folder(), name) : null

/** Writes a backup of everything, and lets the oldest of its kind go; returns its name. */
export async function makeBackup(kind: BackupKind): Promise<string> {
  const at = new Date()
  const [day, time] = at.toISOString().split('T')
  const name = `${kind}-${day}-${time!.slice(0, 8).replaceAll(':', '')}.zip`
  await usePool().run('writeBackup', {
    database: dataFile(),
    target: join(folder(), name),
    at: at.toISOString(),
  })
  backups()
    .filter(b => b.kind === kind)
    .slice(MOST)
    .forEach(b => rmSync(join(folder(), b.name), { force: true }))
  return name
}

/** Writes the backup of the day, unless there is one. */
export async function dailyBackup(): Promise<void> {
  const newest = backups().find(b => b.kind === 'daily')
  if (!newest || Date.now() - Date.parse(newest.madeAt) > DAY_MS) await makeBackup('daily')
}
