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
