import { fillDigests } from './digests'
import { fillFacts } from './lookFacts'
import type { Db } from './open'
import { fillTimes } from './runTimes'
import { schemaOf } from './schema'

/** A step of the database from one version to the next: SQL, then what only code can fill in. */
export interface Migration {
  readonly sql: string
  readonly fill?: (db: Db) => void
}

/** Every version of the database, in order; a migration that was published is never changed. */
export const MIGRATIONS: readonly Migration[] = [
  {
    sql: `
CREATE TABLE looks (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version >= 1),
  doc TEXT NOT NULL,
  created_at TEXT NOT NULL,
  updated_at TEXT NOT NULL,
  deleted_at TEXT
) STRICT;

-- Every saved state of a look, so that no save can lose another one.
CREATE TABLE look_revisions (
  look_id TEXT NOT NULL REFERENCES looks (id) ON DELETE CASCADE,
  version INTEGER NOT NULL,
  doc TEXT NOT NULL,
  saved_at TEXT NOT NULL,
  PRIMARY KEY (look_id, version)
) STRICT;

CREATE TABLE stencils (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  kind TEXT NOT NULL,
  tags TEXT NOT NULL,
  zones TEXT NOT NULL,
  heading REAL,
  copies INTEGER NOT NULL DEFAULT 1 CHECK (copies >= 0),
  notes TEXT NOT NULL DEFAULT '',
  -- The file as it came in, and what was read from it (mm, sheet frame).
  svg TEXT NOT NULL,
  width REAL NOT NULL,
  height REAL NOT NULL,
  geometry TEXT NOT NULL,
  position INTEGER NOT NULL,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE paints (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  finish TEXT NOT NULL CHECK (finish IN ('matte', 'pearl', 'metallic', 'neon')),
  colour TEXT NOT NULL,
  eye_safe INTEGER NOT NULL,
  lip_safe INTEGER NOT NULL,
  position INTEGER NOT NULL
) STRICT;
`,
  },
  {
    sql: `
-- What the drawer knows of a sheet's shape, and how its owner keeps it.
ALTER TABLE stencils ADD COLUMN analysis TEXT;
ALTER TABLE stencils ADD COLUMN groups TEXT NOT NULL DEFAULT '[]';
ALTER TABLE stencils ADD COLUMN material TEXT NOT NULL DEFAULT 'mylar';
ALTER TABLE stencils ADD COLUMN cleaned_on TEXT;
-- A mended sheet is a new one; the sheet that it was made from stays.
ALTER TABLE stencils ADD COLUMN mended_from TEXT REFERENCES stencils (id);
`,
  },
  {
    sql: `
-- What a swatch and the label tell of a paint, and what is left of it.
ALTER TABLE paints ADD COLUMN over_black TEXT;
ALTER TABLE paints ADD COLUMN over_white TEXT;
ALTER TABLE paints ADD COLUMN measured INTEGER NOT NULL DEFAULT 0;
ALTER TABLE paints ADD COLUMN strips TEXT NOT NULL DEFAULT '[]';
ALTER TABLE paints ADD COLUMN opened_on TEXT;
ALTER TABLE paints ADD COLUMN months INTEGER NOT NULL DEFAULT 24;
ALTER TABLE paints ADD COLUMN grams REAL;
ALTER TABLE paints ADD COLUMN cake_grams REAL NOT NULL DEFAULT 30;
ALTER TABLE paints ADD COLUMN price REAL;
-- Readings of the bridge ladder: the narrowest bridge still clear with a tool at a wetness, mm.
CREATE TABLE edge_readings (
  id INTEGER PRIMARY KEY,
  tool TEXT NOT NULL,
  wetness TEXT NOT NULL,
  bridge REAL NOT NULL CHECK (bridge > 0),
  read_at TEXT NOT NULL
) STRICT;
`,
  },
  {
    sql: `
-- Readings of the painter's own tools: what one lets go per dab (mg/cm2), what it holds (mg), how wide its tip is (mm).
CREATE TABLE tool_readings (
  id INTEGER PRIMARY KEY,
  tool TEXT NOT NULL,
  measure TEXT NOT NULL,
  value REAL NOT NULL CHECK (value > 0),
  read_at TEXT NOT NULL
) STRICT;
`,
  },
  {
    // What the gallery shows of a look without reading its document, and its painted picture.
    sql: `
ALTER TABLE looks ADD COLUMN tags TEXT NOT NULL DEFAULT '[]';
ALTER TABLE looks ADD COLUMN age REAL NOT NULL DEFAULT 0;
ALTER TABLE looks ADD COLUMN canvas TEXT NOT NULL DEFAULT '';
ALTER TABLE looks ADD COLUMN sheets TEXT NOT NULL DEFAULT '[]';
ALTER TABLE looks ADD COLUMN paints TEXT NOT NULL DEFAULT '[]';
ALTER TABLE looks ADD COLUMN steps INTEGER NOT NULL DEFAULT 0;
-- Digest of what its picture is painted from; empty when the document is damaged.
ALTER TABLE looks ADD COLUMN drawn TEXT NOT NULL DEFAULT '';
CREATE INDEX looks_newest ON looks (updated_at DESC) WHERE deleted_at IS NULL;
-- The last picture of a look and the seconds of painting, with what they were worked out from.
CREATE TABLE pictures (
  look_id TEXT PRIMARY KEY REFERENCES looks (id) ON DELETE CASCADE,
  key TEXT NOT NULL,
  png BLOB NOT NULL,
  seconds REAL NOT NULL
) STRICT;
-- A version that was given a name is never thinned out.
ALTER TABLE look_revisions ADD COLUMN label TEXT;
ALTER TABLE look_revisions ADD COLUMN name TEXT NOT NULL DEFAULT '';
ALTER TABLE look_revisions ADD COLUMN steps INTEGER NOT NULL DEFAULT 0;
UPDATE look_revisions SET name = json_extract(doc, '$.name'), steps = json_array_length(doc, '$.steps')
  WHERE json_valid(doc);
`,
    fill: fillFacts,
  },
  {
    // How the painter works, where painters disagree: one row a question that was answered.
    sql: `
CREATE TABLE ways (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
`,
  },
  {
    // Glitters and gems of the painter's own, in their order.
    sql: `
CREATE TABLE sparkles (
  kind TEXT NOT NULL CHECK (kind IN ('glitters', 'gems')),
  place INTEGER NOT NULL,
  value TEXT NOT NULL,
  PRIMARY KEY (kind, place)
) STRICT;
`,
  },
  {
    // How paintings went, one row each: columns for the list, and the whole record as JSON.
    sql: `
CREATE TABLE runs (
  id TEXT PRIMARY KEY,
  look_id TEXT,
  started_at TEXT NOT NULL,
  ended_at TEXT,
  device TEXT NOT NULL,
  -- How often it was changed: of two that cross, the later one stays.
  sent INTEGER NOT NULL,
  heard_at TEXT NOT NULL,
  deleted_at TEXT,
  -- What it says of the painter's pace, as JSON: read for every picture, so it stands before what is long.
  times TEXT NOT NULL,
  doc TEXT NOT NULL,
  picture BLOB
) STRICT;
CREATE INDEX runs_newest ON runs (started_at DESC) WHERE deleted_at IS NULL;
CREATE INDEX runs_of_look ON runs (look_id);
-- The room in which people are painted, and other things that are set once for the house.
CREATE TABLE settings (
  key TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
`,
  },
  {
    // The photograph that a sheet was read from, small.
    sql: `
CREATE TABLE stencil_photos (
  stencil_id TEXT PRIMARY KEY REFERENCES stencils (id),
  jpeg BLOB NOT NULL
) STRICT;
`,
  },
  {
    // A sheet that was taken out of the drawer stays for the looks that use it, and can be brought back.
    sql: `
ALTER TABLE stencils ADD COLUMN deleted_at TEXT;
`,
  },
  {
    // Tries of one look are a family: each has a letter and a reason, and one of them is the look.
    sql: `
ALTER TABLE looks ADD COLUMN family TEXT NOT NULL DEFAULT '';
ALTER TABLE looks ADD COLUMN letter TEXT NOT NULL DEFAULT 'A';
ALTER TABLE looks ADD COLUMN why TEXT NOT NULL DEFAULT '';
ALTER TABLE looks ADD COLUMN kept INTEGER NOT NULL DEFAULT 1;
-- A look from before there were tries is a family of its own.
UPDATE looks SET family = id;
CREATE INDEX looks_of_family ON looks (family);
`,
  },
  {
    // A strip cake that is still to be cut and put together, with its size.
    sql: `
ALTER TABLE paints ADD COLUMN to_make TEXT;
`,
  },
  {
    // Runs that were only pressed through count for no pace any more: what each tells of it is worked out anew.
    sql: `
UPDATE runs SET times = '[]' WHERE NOT json_valid(doc);
`,
    fill: fillTimes,
  },
  {
    // A digest of each value of a row, so that flipped bytes are seen; see digests.ts.
    sql: `
ALTER TABLE looks ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE look_revisions ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE pictures ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE stencils ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE stencil_photos ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE paints ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE edge_readings ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE tool_readings ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE ways ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE sparkles ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE runs ADD COLUMN digests TEXT NOT NULL DEFAULT '';
ALTER TABLE settings ADD COLUMN digests TEXT NOT NULL DEFAULT '';
`,
    fill: db => fillDigests(db, schemaOf(db)),
  },
]
