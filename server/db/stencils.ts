import type { AnalysisSummary, MaterialId, OpeningGroup, StencilKind } from '../../core/stencil'
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
  /** Whether the photograph that it was read from is kept with it. */
  photo: boolean
  /** When it was taken out of the drawer, ISO 8601; null while it is in it. Looks that use it keep it. */
  deletedAt: string | null
}

/** A sheet's shape as it is kept: as JSON text, with its size in mm. */
export interface ShapeKept {
  readonly geometry: string
  readonly width: number
  readonly height: number
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
  photo: number
  deleted_at: string | null
}

const meta = ({ cleaned_on, mended_from, deleted_at, ...row }: Row): StencilMeta => ({
  ...row,
  photo: row.photo === 1,
  kind: row.kind as StencilKind,
  material: row.material as MaterialId,
  tags: JSON.parse(row.tags),
  zones: JSON.parse(row.zones),
  groups: JSON.parse(row.groups),
  analysis: row.analysis === null ? null : JSON.parse(row.analysis),
  cleanedOn: cleaned_on,
  mendedFrom: mended_from,
  deletedAt: deleted_at,
})

/** A sheet in a list; nothing where it is damaged. */
function readable(row: Row): StencilMeta[] {
  try {
    return [meta(row)]
  } catch {
    return []
  }
}

const damagedIn = (rows: readonly Row[]): string[] =>
  rows.filter(row => readable(row).length === 0).map(row => row.name)

const columnsOf = ({ tags, zones, groups, ...rest }: StencilNotes) => ({
  ...rest,
  tags: JSON.stringify(tags),
  zones: JSON.stringify(zones),
  groups: JSON.stringify(groups),
})

const COLUMNS =
  'id, name, kind, tags, zones, heading, copies, notes, material, cleaned_on, groups, width, height, analysis, mended_from'
const LISTED = `${COLUMNS}, deleted_at, EXISTS (SELECT 1 FROM stencil_photos WHERE stencil_id = stencils.id) AS photo`

const statements = (db: Db) => ({
  list: db.prepare<[], Row>(`SELECT ${LISTED} FROM stencils ORDER BY position, name`),
  one: db.prepare<[string], Row>(`SELECT ${LISTED} FROM stencils WHERE id = ?`),
  shape: db.prepare<[string], { geometry: string }>(
    'SELECT geometry FROM stencils WHERE id = ? AND json_valid(geometry)',
  ),
  insert: db.prepare(`INSERT INTO stencils (${COLUMNS}, svg, geometry, position, created_at)
    VALUES (@id, @name, @kind, @tags, @zones, @heading, @copies, @notes, @material, @cleanedOn, @groups, @width, @height, @analysis, @mendedFrom, @source, @geometry,
      (SELECT coalesce(max(position), 0) + 1 FROM stencils), @at)`),
  change:
    db.prepare(`UPDATE stencils SET name = @name, kind = @kind, tags = @tags, zones = @zones, heading = @heading, copies = @copies, notes = @notes, material = @material,
    cleaned_on = @cleanedOn, groups = @groups WHERE id = @id`),

  photo: db.prepare<[string], { jpeg: Buffer }>('SELECT jpeg FROM stencil_photos WHERE stencil_id = ?'),
  keepPhoto: db.prepare(`INSERT INTO stencil_photos (stencil_id, jpeg) VALUES (?, ?)
    ON CONFLICT (stencil_id) DO UPDATE SET jpeg = excluded.jpeg`),
  takeOut: db.prepare('UPDATE stencils SET deleted_at = ? WHERE id = ? AND deleted_at IS NULL'),
  bringBack: db.prepare('UPDATE stencils SET deleted_at = NULL WHERE id = ? AND deleted_at IS NOT NULL'),
  measured: db.prepare('UPDATE stencils SET analysis = @analysis WHERE id = @id'),
  stamps: db.prepare<[], { id: string; stamp: string }>(
    `SELECT id, kind || ' ' || copies || ' ' || coalesce(heading, '-') || ' ' || groups AS stamp FROM stencils`,
  ),
})

/** Sheets of the drawer. */
export function stencilsIn(db: Db) {
  const { list, one, shape, insert, change, measured, stamps, photo, keepPhoto, ...by } = statements(db)
  const find = (id: string): StencilMeta | null => {
    const row = one.get(id)
    return row ? (readable(row)[0] ?? null) : null
  }
  return {
    /** Every sheet, those that were taken out too; one that is damaged where it is kept is passed over. */
    all: (): StencilMeta[] => list.all().flatMap(readable),
    /** The names of those that cannot be read. */
    damaged: (): string[] => damagedIn(list.all()),
    /** What is noted of each sheet that pictures depend on, as text. */
    stamps: (): Map<string, string> => new Map(stamps.all().map(({ id, stamp }) => [id, stamp])),
    find,
    /** The shape of a sheet as JSON text; null when there is none, or it is damaged. */
    geometry: (id: string): string | null => shape.get(id)?.geometry ?? null,
    /** Takes in a sheet; `source` is the text of the file that it came from. */
    create(
      id: string,
      { geometry, width, height }: ShapeKept,
      about: StencilNotes & Pick<StencilMeta, 'analysis' | 'mendedFrom'>,
      source: string,
      at: string,
    ): StencilMeta {
      const { analysis, mendedFrom, ...notes } = about
      insert.run({
        id,
        ...columnsOf(notes),
        width,
        height,
        analysis: analysis && JSON.stringify(analysis),
        mendedFrom,
        source,
        geometry,
        at,
      })
      return find(id)!
    },
    /** Takes a sheet out of the drawer; looks keep it. False when there is none to take out. */
    takeOut: (id: string, at: string): boolean => by.takeOut.run(at, id).changes > 0,
    /** Puts a sheet that was taken out back; false when there is none. */
    bringBack: (id: string): boolean => by.bringBack.run(id).changes > 0,
    /** The photograph that a sheet was read from, as JPEG; null when none is kept. */
    photo: (id: string): Buffer | null => photo.get(id)?.jpeg ?? null,
    keepPhoto: (id: string, jpeg: Buffer): void => void keepPhoto.run(id, jpeg),
    /** Keeps the measures of a sheet; null when it cannot be measured. */
    measured: (id: string, analysis: AnalysisSummary | null): void =>
      void measured.run({ id, analysis: analysis && JSON.stringify(analysis) }),
    /** Changes some of what is noted of a sheet, and leaves the rest; null when there is no such sheet. */
    change: db.transaction((id: string, notes: Partial<StencilNotes>): StencilMeta | null => {
      const before = find(id)
      if (!before) return null
      const { name, kind, tags, zones, heading, copies, material, cleanedOn, groups } = before
      const kept = {
        name,
        kind,
        tags,
        zones,
        heading,
        copies,
        material,
        cleanedOn,
        groups,
        notes: before.notes,
      }
      change.run({ id, ...columnsOf({ ...kept, ...notes }) })
      return find(id)
    }),
  }
}
