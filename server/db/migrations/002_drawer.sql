-- What the drawer knows of a sheet's shape, and how its owner keeps it.
ALTER TABLE stencils ADD COLUMN analysis TEXT;
ALTER TABLE stencils ADD COLUMN groups TEXT NOT NULL DEFAULT '[]';
ALTER TABLE stencils ADD COLUMN material TEXT NOT NULL DEFAULT 'mylar';
ALTER TABLE stencils ADD COLUMN cleaned_on TEXT;
-- A mended sheet is a new one; the sheet that it was made from stays.
ALTER TABLE stencils ADD COLUMN mended_from TEXT REFERENCES stencils (id);
