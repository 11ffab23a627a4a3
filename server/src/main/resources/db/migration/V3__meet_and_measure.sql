-- The screening and what follows from it; body lengths; batteries; repeatability studies.

ALTER TABLE client_details ADD COLUMN sex TEXT CHECK (sex IN ('male', 'female'));
ALTER TABLE client_details ADD COLUMN history TEXT NOT NULL DEFAULT '';
ALTER TABLE client_details ADD COLUMN equipment TEXT NOT NULL DEFAULT '';   -- ids separated by ;
ALTER TABLE client_details ADD COLUMN days TEXT NOT NULL DEFAULT '';        -- MONDAY … separated by ;
ALTER TABLE client_details ADD COLUMN leg_cm REAL CHECK (leg_cm BETWEEN 30 AND 140);
ALTER TABLE client_details ADD COLUMN thigh_cm REAL CHECK (thigh_cm BETWEEN 15 AND 80);
ALTER TABLE client_details ADD COLUMN hip_centres_cm REAL CHECK (hip_centres_cm BETWEEN 5 AND 40);
ALTER TABLE client_details ADD COLUMN toe_to_ankle_cm REAL CHECK (toe_to_ankle_cm BETWEEN 5 AND 35);
ALTER TABLE client_goal ADD COLUMN replaces_table INTEGER NOT NULL DEFAULT 0 CHECK (replaces_table IN (0, 1));

CREATE TABLE screening (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  answers     TEXT NOT NULL                -- JSON
) STRICT;
CREATE INDEX screening_client ON screening (client_id, happened_at);

-- What a coach adds on top of the screening; only a clearance loosens it. The table restriction stays as it was, as history.
CREATE TABLE coach_restriction (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  kind        TEXT NOT NULL,
  joints      TEXT NOT NULL,               -- separated by ;
  motion      TEXT,
  side        TEXT,
  bound       REAL,
  reason      TEXT NOT NULL
) STRICT;
CREATE INDEX coach_restriction_client ON coach_restriction (client_id);
INSERT INTO coach_restriction
  SELECT 'coach:' || id || '-effort', client_id, happened_at, recorded_at, 'EFFORT_CAP', '', NULL, NULL, effort_cap, reason
    FROM restriction r WHERE id = (SELECT max(id) FROM restriction WHERE client_id = r.client_id) AND effort_cap >= 1;
INSERT INTO coach_restriction
  SELECT 'coach:' || id || '-depth', client_id, happened_at, recorded_at, 'NO_DEEPENING', '', NULL, NULL, NULL, reason
    FROM restriction r WHERE id = (SELECT max(id) FROM restriction WHERE client_id = r.client_id) AND no_deepening = 1;
INSERT INTO coach_restriction
  SELECT 'coach:' || id || '-stop', client_id, happened_at, recorded_at, 'STOPPED', '', NULL, NULL, NULL, reason
    FROM restriction r WHERE id = (SELECT max(id) FROM restriction WHERE client_id = r.client_id)
     AND (stopped = 1 OR effort_cap = 0);

ALTER TABLE clearance ADD COLUMN written_on TEXT;
ALTER TABLE clearance ADD COLUMN until_day TEXT;
ALTER TABLE clearance ADD COLUMN stop_signs INTEGER NOT NULL DEFAULT 1 CHECK (stop_signs IN (0, 1));
ALTER TABLE clearance ADD COLUMN loosens TEXT NOT NULL DEFAULT '[]';        -- JSON
UPDATE clearance SET written_on = date(happened_at / 1000, 'unixepoch');

ALTER TABLE measurement ADD COLUMN tape_inputs TEXT;     -- SHANK:42.5:0.5 (segment, cm, uncertainty) separated by ;
ALTER TABLE measurement ADD COLUMN measured_by TEXT;     -- account; null when not known
ALTER TABLE measurement ADD COLUMN bench TEXT;           -- whose incline it was taken on; null for none
ALTER TABLE measurement ADD COLUMN incline REAL;
ALTER TABLE measurement ADD COLUMN assessment_id TEXT;
UPDATE measurement SET tape_inputs = 'SHANK:' || tape_shank_cm || ':0.5' WHERE tape_lengths IS NOT NULL;
ALTER TABLE measurement DROP COLUMN tape_shank_cm;
-- All that the range map needs of a cold reading, in the order in which series are read: the table itself is not touched.
CREATE INDEX measurement_cold ON measurement
  (client_id, warmth, motion, position, instrument, side, mode, happened_at, tester, end_feel, measured_by, trials);
CREATE INDEX measurement_tape ON measurement (client_id, warmth, motion, position, side, mode, happened_at)
  WHERE tape_lengths IS NOT NULL;
CREATE INDEX measurement_time ON measurement (client_id, happened_at);

-- A set of measures in their order, with movement re-tests; and each time it was gone through.
CREATE TABLE battery (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  recorded_at INTEGER NOT NULL,
  name        TEXT NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;
CREATE INDEX battery_client ON battery (client_id);

CREATE TABLE assessment (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  battery_id  TEXT NOT NULL REFERENCES battery,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL
) STRICT;
CREATE INDEX assessment_battery ON assessment (battery_id, happened_at);

CREATE TABLE movement_result (
  id            TEXT PRIMARY KEY,
  client_id     TEXT NOT NULL REFERENCES client,
  assessment_id TEXT NOT NULL REFERENCES assessment,
  movement      TEXT NOT NULL,
  value         REAL NOT NULL,
  happened_at   INTEGER NOT NULL,
  recorded_at   INTEGER NOT NULL,
  note          TEXT NOT NULL
) STRICT;
CREATE INDEX movement_result_assessment ON movement_result (assessment_id);

-- The studio's own standard errors of measurement, degrees; the newest row counts.
CREATE TABLE noise_rules (
  id             INTEGER PRIMARY KEY,
  recorded_at    INTEGER NOT NULL,
  account_id     TEXT NOT NULL,
  sem_coach      REAL NOT NULL,
  sem_self       REAL NOT NULL
) STRICT;

CREATE TABLE noise_study (
  id          TEXT PRIMARY KEY,
  account_id  TEXT NOT NULL,
  motion      TEXT NOT NULL,
  instrument  TEXT NOT NULL,
  people      TEXT NOT NULL,               -- JSON: names for the coach's own use
  visits      INTEGER NOT NULL CHECK (visits BETWEEN 2 AND 4),
  trials      INTEGER NOT NULL CHECK (trials BETWEEN 1 AND 6),
  recorded_at INTEGER NOT NULL,
  finished_at INTEGER
) STRICT;
CREATE INDEX noise_study_account ON noise_study (account_id);

-- The newest row for a person and a visit counts.
CREATE TABLE study_reading (
  seq         INTEGER PRIMARY KEY,
  study_id    TEXT NOT NULL REFERENCES noise_study,
  person      INTEGER NOT NULL,
  visit       INTEGER NOT NULL,
  trials      TEXT NOT NULL,               -- degrees, separated by ;
  recorded_at INTEGER NOT NULL
) STRICT;
CREATE INDEX study_reading_study ON study_reading (study_id, seq);
