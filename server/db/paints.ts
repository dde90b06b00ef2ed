import type { Db } from './open'

export interface Paint { id: string, name: string, finish: 'matte' | 'pearl' | 'metallic' | 'neon', colour: string, eyeSafe: boolean, lipSafe: boolean }

interface Row { id: string, name: string, finish: Paint['finish'], colour: string, eye_safe: number, lip_safe: number }

/** Paints of the kit. */
export function paintsIn(db: Db) {
  const list = db.prepare<[], Row>('SELECT id, name, finish, colour, eye_safe, lip_safe FROM paints ORDER BY position')
  const insert = db.prepare('INSERT INTO paints VALUES (@id, @name, @finish, @colour, @eyeSafe, @lipSafe, (SELECT coalesce(max(position), 0) + 1 FROM paints))')
  const known = db.prepare<[string]>('SELECT 1 FROM paints WHERE id = ?')
  return {
    all: (): Paint[] => list.all().map(({ eye_safe, lip_safe, ...rest }) => ({ ...rest, eyeSafe: eye_safe === 1, lipSafe: lip_safe === 1 })),
    knows: (id: string): boolean => known.get(id) !== undefined,
    create: (paint: Paint): void => void insert.run({ ...paint, eyeSafe: Number(paint.eyeSafe), lipSafe: Number(paint.lipSafe) }),
  }
}
