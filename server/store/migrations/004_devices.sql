-- Phones that were paired; of their secret only the hash is kept.
CREATE TABLE device (
  id        TEXT PRIMARY KEY,
  name      TEXT NOT NULL,
  hash      TEXT NOT NULL UNIQUE,
  paired_at TEXT NOT NULL
) STRICT, WITHOUT ROWID;
