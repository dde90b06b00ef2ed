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
