-- Instants are epoch milliseconds. Facts are only ever added; what is current is the newest row.

CREATE TABLE client (
  id          TEXT PRIMARY KEY,
  recorded_at INTEGER NOT NULL
) STRICT;

CREATE TABLE client_details (
  id            INTEGER PRIMARY KEY,
  client_id     TEXT NOT NULL REFERENCES client,
  recorded_at   INTEGER NOT NULL,
  name          TEXT NOT NULL,
  birth_date    TEXT,
  goal          TEXT NOT NULL,
  minutes       INTEGER CHECK (minutes BETWEEN 1 AND 240),
  stature_cm    REAL CHECK (stature_cm BETWEEN 50 AND 250),
  shank_cm      REAL CHECK (shank_cm BETWEEN 15 AND 70),
  beighton      INTEGER CHECK (beighton BETWEEN 0 AND 9),
  block_step_cm REAL NOT NULL CHECK (block_step_cm BETWEEN 0.1 AND 20)
) STRICT;
CREATE INDEX client_details_current ON client_details (client_id, id);

CREATE TABLE client_goal (
  details_id INTEGER NOT NULL REFERENCES client_details,
  motion     TEXT NOT NULL,
  degrees    REAL NOT NULL,
  PRIMARY KEY (details_id, motion)
) STRICT;

CREATE TABLE restriction (
  id           INTEGER PRIMARY KEY,
  client_id    TEXT NOT NULL REFERENCES client,
  happened_at  INTEGER NOT NULL,
  recorded_at  INTEGER NOT NULL,
  effort_cap   INTEGER CHECK (effort_cap BETWEEN 0 AND 100),
  no_deepening INTEGER NOT NULL CHECK (no_deepening IN (0, 1)),
  stopped      INTEGER NOT NULL CHECK (stopped IN (0, 1)),
  reason       TEXT NOT NULL
) STRICT;
CREATE INDEX restriction_current ON restriction (client_id, id);

CREATE TABLE clearance (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  cleared_by  TEXT NOT NULL,
  note        TEXT NOT NULL
) STRICT;
CREATE INDEX clearance_client ON clearance (client_id);

CREATE TABLE measurement (
  id             TEXT PRIMARY KEY,
  client_id      TEXT NOT NULL REFERENCES client,
  motion         TEXT NOT NULL,
  side           TEXT NOT NULL,
  mode           TEXT NOT NULL,
  warmth         TEXT NOT NULL,
  position       TEXT NOT NULL,
  instrument     TEXT NOT NULL,
  tester         TEXT NOT NULL,
  happened_at    INTEGER NOT NULL,
  recorded_at    INTEGER NOT NULL,
  trials         TEXT NOT NULL,            -- degrees, separated by ;
  tape_lengths   TEXT,                     -- cm as read, separated by ; one a trial
  tape_start_cm  REAL,
  tape_shank_cm  REAL,
  end_feel       TEXT,
  pain           INTEGER NOT NULL,
  control_grade  INTEGER,
  note           TEXT NOT NULL
) STRICT;
CREATE INDEX measurement_series ON measurement (client_id, motion, position, instrument);

CREATE TABLE line (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  motion      TEXT NOT NULL,
  position    TEXT NOT NULL,
  instrument  TEXT NOT NULL,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL
) STRICT;
CREATE INDEX line_client ON line (client_id);

-- Every version of a line's plan, doses of that day included; the first one's doses are the bases.
CREATE TABLE plan (
  id          INTEGER PRIMARY KEY,
  line_id     TEXT NOT NULL REFERENCES line,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;
CREATE INDEX plan_line ON plan (line_id, id);

CREATE TABLE session (
  id          TEXT PRIMARY KEY,
  line_id     TEXT NOT NULL REFERENCES line,
  client_id   TEXT NOT NULL REFERENCES client,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  plan        TEXT NOT NULL,               -- JSON: the plan with that day's doses
  timeline    TEXT                         -- JSON: the plan as compiled; null when imported
) STRICT;
CREATE INDEX session_line ON session (line_id, happened_at);
CREATE INDEX session_client ON session (client_id);

-- One row a finished block, with the id its device made. A later row for the same block corrects an earlier one.
CREATE TABLE session_block (
  seq           INTEGER PRIMARY KEY,
  id            TEXT NOT NULL UNIQUE,
  session_id    TEXT NOT NULL REFERENCES session,
  block_id      TEXT NOT NULL,
  side          TEXT NOT NULL,
  kind          TEXT NOT NULL,
  happened_at   INTEGER NOT NULL,
  recorded_at   INTEGER NOT NULL,
  phases        TEXT NOT NULL,             -- KIND:planned:done, separated by ;
  effort_rating INTEGER,
  faults        TEXT NOT NULL,             -- separated by ;
  pains         TEXT NOT NULL,             -- JSON
  cramps        INTEGER NOT NULL,
  effort_missed INTEGER NOT NULL CHECK (effort_missed IN (0, 1)),
  skipped       TEXT,
  note          TEXT NOT NULL
) STRICT;
CREATE INDEX session_block_session ON session_block (session_id, seq);

CREATE TABLE session_close (
  session_id  TEXT PRIMARY KEY REFERENCES session,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  observer    TEXT NOT NULL,
  rating      INTEGER,
  stop_sign   TEXT,
  stop_side   TEXT,
  note        TEXT NOT NULL
) STRICT;

CREATE TABLE morning (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL UNIQUE,
  session_id  TEXT NOT NULL REFERENCES session,
  settled     INTEGER NOT NULL CHECK (settled IN (0, 1)),
  soreness    INTEGER,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL
) STRICT;
CREATE INDEX morning_session ON morning (session_id, seq);

-- What the coach made of a proposal, with all it rested on.
CREATE TABLE decision (
  seq              INTEGER PRIMARY KEY,
  id               TEXT NOT NULL UNIQUE,
  line_id          TEXT NOT NULL REFERENCES line,
  side             TEXT NOT NULL,
  answer           TEXT NOT NULL,
  proposed         TEXT NOT NULL,
  lever            TEXT,
  dose_before      TEXT NOT NULL,          -- JSON
  dose_after       TEXT NOT NULL,          -- JSON
  reason           TEXT NOT NULL,
  happened_at      INTEGER NOT NULL,
  recorded_at      INTEGER NOT NULL,
  proposal         TEXT,                   -- JSON; null for an edit of the plan
  inputs           TEXT,                   -- JSON: the resolved state's events, so that it can be replayed
  policy_version   TEXT NOT NULL,
  engine_version   TEXT NOT NULL
) STRICT;
CREATE INDEX decision_line ON decision (line_id, seq);
