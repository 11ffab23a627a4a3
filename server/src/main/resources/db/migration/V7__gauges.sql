-- What a force gauge gave, block by block, and what 100 % was. Samples are packed without loss.
CREATE TABLE trace (
  id                TEXT PRIMARY KEY,
  session_id        TEXT NOT NULL REFERENCES session,
  block_id          TEXT NOT NULL,
  side              TEXT NOT NULL,
  reference_newtons REAL,                  -- null: no reference stood, nothing can be said in %
  phase_seconds     TEXT NOT NULL,         -- JSON: how long each phase of the block really lasted
  force             BLOB NOT NULL,
  analysis          TEXT,                  -- JSON: as computed on arrival; null without a reference
  effort_within     REAL,                  -- what decisions read of it; null: nothing to judge by
  near_max_peak     REAL,                  -- the same of its near-maximal steps, %
  happened_at       INTEGER NOT NULL,
  recorded_at       INTEGER NOT NULL
) STRICT;

CREATE INDEX trace_session ON trace (session_id);

CREATE TABLE reference_contraction (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  session_id  TEXT REFERENCES session,     -- the session before which it was measured
  motion      TEXT NOT NULL,
  position    TEXT NOT NULL,
  side        TEXT NOT NULL,
  direction   TEXT NOT NULL,
  degrees     REAL NOT NULL,
  newtons     REAL NOT NULL,
  tries       BLOB NOT NULL,               -- the three tries on one clock
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL
) STRICT;

CREATE INDEX reference_client ON reference_contraction (client_id, motion, position, happened_at);

-- What may be done on the floor instead of the plan, compiled beforehand; null for what was opened before or imported.
ALTER TABLE session ADD COLUMN variants TEXT;
