import type { SheetGeometry, StencilKind } from '../../core/stencil'
import { sheetJson } from '../../core/formats'
import type { Db } from './open'

/** What the drawer knows of a sheet besides its shape. */
export interface StencilMeta {
  id: string
  name: string
  kind: StencilKind
  tags: string[]
  zones: string[]
  /** Degrees clockwise from up; null when it has no direction. */
  heading: number | null
  copies: number
  notes: string
  width: number
  height: number
}

interface Row { id: string, name: string, kind: string, tags: string, zones: string, heading: number | null, copies: number, notes: string, width: number, height: number }

const meta = (row: Row): StencilMeta => ({ ...row, kind: row.kind as StencilKind, tags: JSON.parse(row.tags), zones: JSON.parse(row.zones) })

/** Sheets of the drawer. */
export function stencilsIn(db: Db) {
  const columns = 'id, name, kind, tags, zones, heading, copies, notes, width, height'
  const list = db.prepare<[], Row>(`SELECT ${columns} FROM stencils ORDER BY position, name`)
  const one = db.prepare<[string], Row>(`SELECT ${columns} FROM stencils WHERE id = ?`)
  const shape = db.prepare<[string], { geometry: string }>('SELECT geometry FROM stencils WHERE id = ?')
  const file = db.prepare<[string], { svg: string }>('SELECT svg FROM stencils WHERE id = ?')
  const insert = db.prepare(`INSERT INTO stencils (${columns}, svg, geometry, position, created_at)
    VALUES (@id, @name, @kind, @tags, @zones, @heading, @copies, @notes, @width, @height, @svg, @geometry, (SELECT coalesce(max(position), 0) + 1 FROM stencils), @at)`)

  return {
    all: (): StencilMeta[] => list.all().map(meta),
    find: (id: string): StencilMeta | null => {
      const row = one.get(id)
      return row ? meta(row) : null
    },
    geometry: (id: string): string | null => shape.get(id)?.geometry ?? null,
    svg: (id: string): string | null => file.get(id)?.svg ?? null,
    create: (sheet: SheetGeometry, about: Omit<StencilMeta, 'width' | 'height'>, svg: string, at: string): StencilMeta => {
      insert.run({
        ...about, tags: JSON.stringify(about.tags), zones: JSON.stringify(about.zones), width: sheet.width, height: sheet.height, svg, geometry: JSON.stringify(sheetJson(sheet)), at,
      })
      return { ...about, width: sheet.width, height: sheet.height }
    },
  }
}
