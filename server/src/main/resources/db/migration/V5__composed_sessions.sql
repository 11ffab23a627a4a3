-- Composed sessions, each saving a row of its own; the studio's own methods, likewise; a body's mass.
ALTER TABLE client_details ADD COLUMN mass_kg REAL CHECK (mass_kg BETWEEN 20 AND 250);

CREATE TABLE composition (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL,
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT,
  recorded_at INTEGER NOT NULL,
  name        TEXT NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;
CREATE INDEX composition_client ON composition (client_id, id, seq);

CREATE TABLE studio_method (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL,
  account_id  TEXT NOT NULL,
  recorded_at INTEGER NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;
CREATE INDEX studio_method_id ON studio_method (id, seq);
