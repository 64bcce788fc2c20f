-- Pictures of pieces, re-encoded: one file is the whole workshop.
CREATE TABLE picture (
  id     TEXT PRIMARY KEY,
  width  INTEGER NOT NULL,
  height INTEGER NOT NULL,
  bytes  BLOB NOT NULL
) STRICT, WITHOUT ROWID;
