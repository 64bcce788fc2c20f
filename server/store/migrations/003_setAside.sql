-- Facts and entries that could not be read: kept as they are, out of the way of the rest.
CREATE TABLE set_aside (
  position   INTEGER PRIMARY KEY AUTOINCREMENT,
  collection TEXT NOT NULL,
  id         TEXT NOT NULL,
  body       TEXT NOT NULL,
  why        TEXT NOT NULL
) STRICT;

-- What wrote a revision: the person's own edit, or a whole file (an import, a restored copy).
ALTER TABLE fact_revision ADD COLUMN cause TEXT NOT NULL DEFAULT 'edit';
