import { linearOf, estimatedSwatch, FINISHES, type Paint } from '../../core/paint'
import type { Db } from './open'

export type { Paint }

interface Row {
  id: string
  name: string
  finish: Paint['finish']
  colour: string
  eye_safe: number
  lip_safe: number
  over_black: string | null
  over_white: string | null
  measured: number
  strips: string
  opened_on: string | null
  months: number
  grams: number | null
  cake_grams: number
  price: number | null
  to_make: string | null
}

/** What a label says, as the column keeps it: 1 for yes, 0 for no, -1 while nobody has entered it. */
const labelAs = (label: boolean | null): number => (label === null ? -1 : Number(label))
const labelIn = (kept: number): boolean | null => (kept < 0 ? null : kept === 1)

function paintOf(row: Row): Paint {
  const usual =
    row.over_black && row.over_white
      ? { overBlack: row.over_black, overWhite: row.over_white }
      : estimatedSwatch(row.colour)
  return {
    id: row.id,
    name: row.name,
    finish: row.finish,
    colour: row.colour,
    ...usual,
    measured: row.measured === 1,
    strips: JSON.parse(row.strips),
    eyeSafe: labelIn(row.eye_safe),
    lipSafe: labelIn(row.lip_safe),
    openedOn: row.opened_on,
    months: row.months,
    grams: row.grams,
    cakeGrams: row.cake_grams,
    price: row.price,
    ...(row.to_make !== null && { toMake: JSON.parse(row.to_make) }),
  }
}

/** A paint in a list; nothing where it is damaged. */
function readable(row: Row): Paint[] {
  try {
    const paint = paintOf(row)
    return FINISHES.includes(paint.finish) && Array.isArray(paint.strips) ? [paint] : []
  } catch {
    return []
  }
}

/** Paints of the kit. */
export function paintsIn(db: Db) {
  const list = db.prepare<[], Row>('SELECT * FROM paints ORDER BY position')
  const one = db.prepare<[string], Row>('SELECT * FROM paints WHERE id = ?')
  const insert =
    db.prepare(`INSERT INTO paints (id, name, finish, colour, eye_safe, lip_safe, over_black, over_white, measured, strips, opened_on, months, grams, cake_grams, price, to_make, position)
    VALUES (@id, @name, @finish, @colour, @eyeSafe, @lipSafe, @overBlack, @overWhite, @measured, @strips, @openedOn, @months, @grams, @cakeGrams, @price, @toMake, (SELECT coalesce(max(position), 0) + 1 FROM paints))`)
  const update =
    db.prepare(`UPDATE paints SET name = @name, finish = @finish, colour = @colour, eye_safe = @eyeSafe, lip_safe = @lipSafe, over_black = @overBlack, over_white = @overWhite, measured = @measured,
    strips = @strips, opened_on = @openedOn, months = @months, grams = @grams, cake_grams = @cakeGrams, price = @price, to_make = @toMake WHERE id = @id`)
  const known = db.prepare<[string]>('SELECT 1 FROM paints WHERE id = ?')
  const remove = db.prepare<[string]>('DELETE FROM paints WHERE id = ?')
  const columns = (paint: Paint) => {
    linearOf(paint.colour)
    return {
      ...paint,
      eyeSafe: labelAs(paint.eyeSafe),
      lipSafe: labelAs(paint.lipSafe),
      measured: Number(paint.measured),
      strips: JSON.stringify(paint.strips),
      toMake: paint.toMake ? JSON.stringify(paint.toMake) : null,
    }
  }
  return {
    /** Every paint that can be read. */
    all: (): Paint[] => list.all().flatMap(readable),
    /** The names of those that cannot: they are damaged where they are kept. */
    damaged: (): string[] =>
      list
        .all()
        .filter(row => readable(row).length === 0)
        .map(row => row.name),
    find: (id: string): Paint | null => {
      const row = one.get(id)
      return row ? (readable(row)[0] ?? null) : null
    },
    knows: (id: string): boolean => known.get(id) !== undefined,
    create: (paint: Paint): void => void insert.run(columns(paint)),
    change: (paint: Paint): boolean => update.run(columns(paint)).changes > 0,
    /** Changes all of them, or none when one is not there. */
    changeAll: (list: readonly Paint[]): boolean =>
      db.transaction(() => {
        if (!list.every(p => known.get(p.id))) return false
        for (const paint of list) update.run(columns(paint))
        return true
      })(),
    remove: (id: string): boolean => remove.run(id).changes > 0,
  }
}
