import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { dataFile } from '../db/open'
import { beforeFiles } from '../db/swap'
import { backupFolder } from '../pool/backup'

/** As many backups of each kind are kept. */
const MOST = 7
const NAME = /^(daily|by-hand)-(\d{4}-\d\d-\d\d)-(\d\d)(\d\d)(\d\d)\.zip$/

/** A backup of the day, one made by hand, or the data file as it was before a restore. */
export type BackupKind = 'daily' | 'by-hand' | 'before'

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
      const found = NAME.exec(name)
      if (!found) return []
      // By its name: the time of a file is another after it was copied.
      const [, kind, day, h, min, s] = found
      const { size } = statSync(join(folder(), name))
      return { name, kind: kind as BackupKind, madeAt: `${day}T${h}:${min}:${s}.000Z`, bytes: size }
    })
    .sort((a, b) => b.madeAt.localeCompare(a.madeAt))
}

/** The data files of before a restore that are kept, the newest first. */
export const earlierFiles = (): BackupKept[] =>
  beforeFiles(dataFile()).map(name => {
    const { size } = statSync(join(dirname(dataFile()), name))
    const [, day, time] = /before-(\d{4}-\d\d-\d\d)T([\d-]+)Z$/.exec(name) ?? []
    const [h, min, s, ms] = time?.split('-') ?? []
    return { name, kind: 'before', madeAt: `${day}T${h}:${min}:${s}.${ms}Z`, bytes: size }
  })

/** The file of a backup by its name; null when there is none. */
export const backupFile = (name: string): string | null =>
  NAME.test(name) && existsSync(join(folder(), name)) ? join(folder(), name) : null

/** Writes a backup of everything, and lets the oldest of its kind go; returns its name. */
export async function makeBackup(kind: BackupKind): Promise<string> {
  const at = new Date()
  const [day, time] = at.toISOString().split('T')
  const name = `${kind}-${day}-${time!.slice(0, 8).replaceAll(':', '')}.zip`
  try {
    const target = join(folder(), name)
    await usePool().run('writeBackup', { database: dataFile(), target, at: at.toISOString() })
  } catch (error) {
    const why = String((error as { code?: unknown }).code ?? '')
    if (!/^(EACCES|EPERM|EROFS|ENOTDIR|EEXIST|SQLITE_(READONLY|CANTOPEN).*)$/.test(why)) throw error
    throw refusal(
      503,
      `The backup cannot be written: the folder ${folder()} may not be written. Everything that is saved is still there; allow writing to that folder and try again.`,
    )
  }
  backups()
    .filter(b => b.kind === kind)
    .slice(MOST)
    .forEach(b => rmSync(join(folder(), b.name), { force: true }))
  return name
}

/** Writes the backup of the day, unless there is one. */
export async function dailyBackup(): Promise<void> {
  const { settings } = useRepositories()
  const kept = backups().some(b => b.kind === 'daily')
  if (kept && !settings.backupDue(Date.now())) return
  await makeBackup('daily')
  settings.setDailyBackup(new Date().toISOString())
}
