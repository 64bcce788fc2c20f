-- Facts by collection and id. Revisions count up by one; earlier ones are kept in fact_revision for undo.
CREATE TABLE fact (
  collection TEXT NOT NULL,
  id         TEXT NOT NULL,
  revision   INTEGER NOT NULL,
  body       TEXT NOT NULL,
  PRIMARY KEY (collection, id)
) STRICT, WITHOUT ROWID;

-- Every state a fact has had; body is NULL where it was removed.
CREATE TABLE fact_revision (
  collection TEXT NOT NULL,
  id         TEXT NOT NULL,
  revision   INTEGER NOT NULL,
  body       TEXT,
  PRIMARY KEY (collection, id, revision)
) STRICT, WITHOUT ROWID;

-- The log: appended, never edited.
CREATE TABLE event (
  position INTEGER PRIMARY KEY AUTOINCREMENT,
  id       TEXT NOT NULL UNIQUE,
  at       TEXT NOT NULL,
  body     TEXT NOT NULL
) STRICT;

-- What this folder is, and how many writes it has seen.
CREATE TABLE meta (
  name  TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT, WITHOUT ROWID;

INSERT INTO meta (name, value) VALUES ('changes', '0');
