-- A studio's own rules: a copy of the house policy with some numbers set otherwise. A change is a new version.
CREATE TABLE policy (
  id          TEXT NOT NULL,
  version     INTEGER NOT NULL CHECK (version > 0),
  name        TEXT NOT NULL,
  note        TEXT NOT NULL,
  thresholds  TEXT NOT NULL,              -- JSON: name to value, those that differ from the house policy
  recorded_at INTEGER NOT NULL,
  PRIMARY KEY (id, version)
) STRICT;

-- What is judged by, from when on; no row is the house policy.
CREATE TABLE policy_use (
  seq         INTEGER PRIMARY KEY,
  policy_id   TEXT,                       -- null: the house policy
  version     INTEGER,
  recorded_at INTEGER NOT NULL,
  FOREIGN KEY (policy_id, version) REFERENCES policy (id, version),
  CHECK ((policy_id IS NULL) = (version IS NULL))
) STRICT;

-- A decision taken back before the next session began.
CREATE TABLE decision_undo (
  decision_id TEXT PRIMARY KEY REFERENCES decision (id),
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL
) STRICT;

-- Times in which a client does not train. The newest row of an id counts.
CREATE TABLE client_pause (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL,
  client_id   TEXT NOT NULL REFERENCES client,
  kind        TEXT NOT NULL,
  from_day    TEXT NOT NULL,
  until_day   TEXT,                       -- the first day of training again; null while it lasts
  note        TEXT NOT NULL,
  recorded_at INTEGER NOT NULL,
  UNIQUE (id, recorded_at)
) STRICT;
CREATE INDEX client_pause_client ON client_pause (client_id, seq);
