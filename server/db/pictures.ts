import type { Db } from './open'

/** The last picture of a look, with what it was painted from as a key. */
export interface PictureKept {
  readonly key: string
  readonly png: Uint8Array
  readonly seconds: number
}

/** The gallery's pictures, one a look. */
export function picturesIn(db: Db) {
  const find = db.prepare<[string], PictureKept>('SELECT key, png, seconds FROM pictures WHERE look_id = ?')
  const put = db.prepare(
    `INSERT INTO pictures (look_id, key, png, seconds) VALUES (@id, @key, @png, @seconds)
     ON CONFLICT (look_id) DO UPDATE SET key = @key, png = @png, seconds = @seconds`,
  )
  const drop = db.prepare<[string]>('DELETE FROM pictures WHERE look_id = ?')
  return {
    find: (id: string): PictureKept | null => find.get(id) ?? null,
    put: (id: string, picture: PictureKept): void => void put.run({ id, ...picture }),
    /** Forgets a picture: it is painted again. */
    drop: (id: string): void => void drop.run(id),
  }
}
