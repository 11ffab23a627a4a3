-- A client's own way in: a link that a coach made. Only digests are kept.
CREATE TABLE home_link (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT NOT NULL REFERENCES account,
  digest      TEXT NOT NULL UNIQUE,
  pin_hash    TEXT,                        -- null: no PIN
  wrong_pins  INTEGER NOT NULL DEFAULT 0,
  happened_at INTEGER NOT NULL,
  expires_at  INTEGER NOT NULL,
  revoked_at  INTEGER
) STRICT;
CREATE INDEX home_link_client ON home_link (client_id);

-- A device that came in by a link; it ends with the link.
CREATE TABLE home_visit (
  digest      TEXT PRIMARY KEY,
  link_id     TEXT NOT NULL REFERENCES home_link,
  happened_at INTEGER NOT NULL
) STRICT;
CREATE INDEX home_visit_link ON home_visit (link_id);

-- Short notes from home to the coach.
CREATE TABLE home_note (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  text        TEXT NOT NULL,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  read_at     INTEGER
) STRICT;
CREATE INDEX home_note_client ON home_note (client_id, happened_at);
