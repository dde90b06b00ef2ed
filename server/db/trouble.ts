import { dirname } from 'node:path'

/** Something is wrong with where the data are kept, in one sentence: what, what is safe, what to do. */
export class HouseTrouble extends Error {
  constructor(
    sentence: string,
    readonly code: string,
  ) {
    super(sentence)
  }
}

const SAFE = 'Everything that was shown as saved is still there'

/** What to say for SQLite's result codes and the file system's, without the detail after the first word. */
const SENTENCES: Readonly<Record<string, (file: string) => string>> = {
  FULL: () =>
    `The disk is full, so nothing can be saved. ${SAFE}; free some space, and what waits on this device is saved by itself.`,
  READONLY: file =>
    `The data file ${file} cannot be written, so nothing can be saved. ${SAFE}; allow writing to it and its folder, and what waits on this device is saved by itself.`,
  CANTOPEN: file =>
    `The data file ${file} cannot be opened. Nothing in it was changed; see that its folder is there and may be read and written.`,
  CORRUPT: file =>
    `The data file ${file} is damaged. Nothing more is written to it; stop the application, keep a copy of the file, and restore the newest backup from the folder "backups" beside it.`,
  NOTADB: file =>
    `The file ${file} is no database of Janusform, and was left alone. Move it away or name another folder in JANUSFORM_DATA, and start again.`,
  BUSY: file =>
    `Another program holds the data file ${file}, so nothing can be saved just now. ${SAFE}; close the other program, and what waits on this device is saved by itself.`,
  IOERR: file =>
    `The disk with the data file ${file} answers with errors. What waits on this device is kept there; see whether the disk is still connected, and make a backup when it is.`,
  NEWER: file =>
    `The data file ${file} was written by a newer version of Janusform, and was left alone. Start that version, or restore a backup of this one.`,
  GONE: file =>
    `The data file ${file} was moved, deleted or replaced while the application ran, so what was sent just now is not kept there. What waits on this device stays; put the file back, or start the application again.`,
  FOLDER: file =>
    `The data folder for ${file} cannot be made, because something of that name is no folder. Nothing was changed; name another folder in JANUSFORM_DATA.`,
}
/**
 * The sentence's name for an error's code; null for an error that is none of the house's.
 * @param here whether the error is of the data file's own folder
 */
function troubleCode(code: string, here: boolean): string | null {
  if (code === 'EROFS') return 'READONLY'
  if (code === 'ENOSPC') return 'FULL'
  if (here && /^(EEXIST|ENOTDIR)$/.test(code)) return 'FOLDER'
  if (here && /^(EACCES|EPERM|ENOENT)$/.test(code)) return 'CANTOPEN'
  const sqlite = /^SQLITE_([A-Z]+)/.exec(code)?.[1]
  if (sqlite === 'LOCKED') return 'BUSY'
  return sqlite && sqlite in SENTENCES ? sqlite : null
}

/**
 * What an error of the database or of the disk means for the painter; null for an error of another kind.
 * @param file the data file, named in the sentence
 */
export function troubleIn(error: unknown, file: string): HouseTrouble | null {
  if (error instanceof HouseTrouble) return error
  const { code: given = '', path = '' } = (error ?? {}) as { code?: unknown; path?: unknown }
  const folder = dirname(file)
  const here = typeof path === 'string' && path !== '' && (folder.startsWith(path) || path.startsWith(folder))
  const code = troubleCode(String(given), here)
  return code === null ? null : new HouseTrouble(SENTENCES[code]!(file), code)
}

/** A trouble by its name. */
export const trouble = (code: 'NEWER' | 'CORRUPT' | 'GONE', file: string): HouseTrouble =>
  new HouseTrouble(SENTENCES[code]!(file), code)
