import type {
  AnalysisSummary,
  MaterialId,
  OpeningGroup,
  SheetGeometry,
  StencilKind,
} from '../../core/stencil'
import { sheetJson } from '../../core/formats'
import type { Db } from './open'

/** What the owner of a sheet can say of it. */
export interface StencilNotes {
  name: string
  kind: StencilKind
  tags: string[]
  zones: string[]
  /** Degrees clockwise from up; null when it has no direction. */
  heading: number | null
  copies: number
  notes: string
  material: MaterialId
  /** The day on which it was last cleaned, ISO 8601. */
  cleanedOn: string | null
  groups: OpeningGroup[]
}

/** What the drawer knows of a sheet besides its shape. */
export interface StencilMeta extends StencilNotes {
  id: string
  width: number
  height: number
  analysis: AnalysisSummary | null
  mendedFrom: string | null
}

interface Row {
  id: string
  name: string
  kind: string
  tags: string
  zones: string
  heading: number | null
  copies: number
  notes: string
  material: string
  cleaned_on: string | null
  groups: string
  width: number
  height: number
  analysis: string | null
  mended_from: string | null
}

const meta = ({ cleaned_on, mended_from, ...row }: Row): StencilMeta => ({
  ...row,
  kind: row.kind as StencilKind,
  material: row.material as MaterialId,
  tags: JSON.parse(row.tags),
  zones: JSON.parse(row.zones),
  groups: JSON.parse(row.groups),
  analysis: row.analysis === null ? null : JSON.parse(row.analysis),
  cleanedOn: cleaned_on,
  mendedFrom: mended_from,
})

const columnsOf = ({ tags, zones, groups, ...rest }: StencilNotes) => ({
  ...rest,
  tags: JSON.stringify(tags),
  zones: JSON.stringify(zones),
  groups: JSON.stringify(groups),
})

/** Sheets of the drawer. */
export function stencilsIn(db: Db) {
  const columns =
    'id, name, kind, tags, zones, heading, copies, notes, material, cleaned_on, groups, width, height, analysis, mended_from'
  const list = db.prepare<[], Row>(`SELECT ${columns} FROM stencils ORDER BY position, name`)
  const one = db.prepare<[string], Row>(`SELECT ${columns} FROM stencils WHERE id = ?`)
  const shape = db.prepare<[string], { geometry: string }>('SELECT geometry FROM stencils WHERE id = ?')
  const insert = db.prepare(`INSERT INTO stencils (${columns}, svg, geometry, position, created_at)
    VALUES (@id, @name, @kind, @tags, @zones, @heading, @copies, @notes, @material, @cleanedOn, @groups, @width, @height, @analysis, @mendedFrom, @source, @geometry,
      (SELECT coalesce(max(position), 0) + 1 FROM stencils), @at)`)
  const change =
    db.prepare(`UPDATE stencils SET name = @name, kind = @kind, tags = @tags, zones = @zones, heading = @heading, copies = @copies, notes = @notes, material = @material,
    cleaned_on = @cleanedOn, groups = @groups WHERE id = @id`)

  const find = (id: string): StencilMeta | null => {
    const row = one.get(id)
    return row ? meta(row) : null
  }
  return {
    all: (): StencilMeta[] => list.all().map(meta),
    find,
    geometry: (id: string): string | null => shape.get(id)?.geometry ?? null,
    /** Takes in a sheet; `source` is the text of the file that it came from. */
    create(
      id: string,
      sheet: SheetGeometry,
      about: StencilNotes & Pick<StencilMeta, 'analysis' | 'mendedFrom'>,
      source: string,
      at: string,
    ): StencilMeta {
      const { analysis, mendedFrom, ...notes } = about
      insert.run({
        id,
        ...columnsOf(notes),
        width: sheet.width,
        height: sheet.height,
        analysis: analysis && JSON.stringify(analysis),
        mendedFrom,
        source,
        geometry: JSON.stringify(sheetJson(sheet)),
        at,
      })
      return find(id)!
    },
    /** Changes what is noted of a sheet; null when there is no such sheet. */
    change(id: string, notes: StencilNotes): StencilMeta | null {
      return change.run({ id, ...columnsOf(notes) }).changes > 0 ? find(id) : null
    },
  }
}
