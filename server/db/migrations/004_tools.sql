-- Readings of the painter's own tools: what one lets go per dab (mg/cm2), what it holds (mg), how wide its tip is (mm).
CREATE TABLE tool_readings (
  id INTEGER PRIMARY KEY,
  tool TEXT NOT NULL,
  measure TEXT NOT NULL,
  value REAL NOT NULL CHECK (value > 0),
  read_at TEXT NOT NULL
) STRICT;
