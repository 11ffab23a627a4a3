-- Instants are epoch milliseconds. Facts are only ever added; what is current is the newest row.
CREATE TABLE client (
  id          TEXT PRIMARY KEY,
  recorded_at INTEGER NOT NULL,
  archived_at INTEGER,                    -- when they left; null while they come
  stamp       INTEGER NOT NULL DEFAULT 0  -- see the triggers at the end
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
  block_step_cm REAL NOT NULL CHECK (block_step_cm BETWEEN 0.1 AND 20),
  sex TEXT CHECK (sex IN ('male', 'female')),
  history TEXT NOT NULL DEFAULT '',
  equipment TEXT NOT NULL DEFAULT '',
  days TEXT NOT NULL DEFAULT '',
  leg_cm REAL CHECK (leg_cm BETWEEN 30 AND 140),
  thigh_cm REAL CHECK (thigh_cm BETWEEN 15 AND 80),
  hip_centres_cm REAL CHECK (hip_centres_cm BETWEEN 5 AND 40),
  toe_to_ankle_cm REAL CHECK (toe_to_ankle_cm BETWEEN 5 AND 35),
  mass_kg REAL CHECK (mass_kg BETWEEN 20 AND 250)
) STRICT;

CREATE INDEX client_details_current ON client_details (client_id, id);

CREATE TABLE client_goal (
  details_id INTEGER NOT NULL REFERENCES client_details,
  motion     TEXT NOT NULL,
  degrees    REAL NOT NULL, replaces_table INTEGER NOT NULL DEFAULT 0 CHECK (replaces_table IN (0, 1)),
  PRIMARY KEY (details_id, motion)
) STRICT;

CREATE TABLE clearance (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  cleared_by  TEXT NOT NULL,
  note        TEXT NOT NULL,
  written_on TEXT,
  until_day TEXT,
  stop_signs INTEGER NOT NULL DEFAULT 1 CHECK (stop_signs IN (0, 1)),
  names TEXT NOT NULL DEFAULT '[]',        -- runs whose sign it clears, whenever that was recorded
  loosens TEXT NOT NULL DEFAULT '[]'
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
  end_feel       TEXT,
  pain           INTEGER NOT NULL,
  control_grade  INTEGER,
  note           TEXT NOT NULL,
  tape_inputs TEXT,
  measured_by TEXT,
  bench TEXT,
  incline REAL,
  assessment_id TEXT,
  median_deg REAL NOT NULL DEFAULT 0,
  trial_count INTEGER NOT NULL DEFAULT 1 CHECK (trial_count BETWEEN 1 AND 6),
  brief TEXT GENERATED ALWAYS AS
  (happened_at || char(9) || median_deg || char(9) || trial_count || char(9) || tester
   || char(9) || ifnull(end_feel, '') || char(9) || ifnull(measured_by, '')) VIRTUAL
) STRICT;

CREATE INDEX measurement_series ON measurement (client_id, motion, position, instrument);

-- A line is prescribed, run, judged and advanced. It ends when no session has it any more, or when it goes on in another one.
CREATE TABLE line (
  id          TEXT PRIMARY KEY CHECK (length(id) <= 64),
  client_id   TEXT NOT NULL REFERENCES client,
  motion      TEXT NOT NULL,
  position    TEXT NOT NULL,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  follows     TEXT REFERENCES line,        -- the stage before it; null for none
  ended_at    INTEGER
) STRICT;

CREATE INDEX line_client ON line (client_id);

CREATE INDEX line_follows ON line (follows) WHERE follows IS NOT NULL;

-- Every version of a line, doses of that day included; the first one's doses are the bases.
CREATE TABLE line_version (
  id          INTEGER PRIMARY KEY,
  line_id     TEXT NOT NULL REFERENCES line,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;

CREATE INDEX line_version_line ON line_version (line_id, id);

-- Lines arranged: which are done, in which order. Each saving is a row of its own, the newest of an id counts.
CREATE TABLE session (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL CHECK (length(id) <= 64),
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT,
  recorded_at INTEGER NOT NULL,
  name        TEXT NOT NULL,
  body        TEXT                         -- JSON; null: removed
) STRICT;

CREATE INDEX session_client ON session (client_id, id, seq);

-- A session, or a line alone, as it was run that day.
CREATE TABLE run (
  id          TEXT PRIMARY KEY CHECK (length(id) <= 64),
  client_id   TEXT NOT NULL REFERENCES client,
  session_id  TEXT,                        -- null: a line alone
  name        TEXT NOT NULL,
  draft       TEXT NOT NULL,               -- JSON: the session with that day's doses
  timeline    TEXT,                        -- JSON: as compiled; null when imported
  variants    TEXT,                        -- JSON: what may be done instead, compiled beforehand; null when imported
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  closed      INTEGER NOT NULL DEFAULT 0 CHECK (closed IN (0, 1))  -- set by closing it: a few are open among thousands
) STRICT;

CREATE INDEX run_client ON run (client_id, happened_at);
CREATE INDEX run_open ON run (happened_at) WHERE closed = 0 AND timeline IS NOT NULL;

-- Which lines a run has; its blocks name them by their number.
CREATE TABLE run_line (
  line_id TEXT NOT NULL REFERENCES line,
  run_id  TEXT NOT NULL REFERENCES run,
  number  INTEGER NOT NULL CHECK (number > 0),
  left_class  TEXT,                        -- how hard each side worked; null where it did nothing
  right_class TEXT,
  PRIMARY KEY (line_id, run_id)
) STRICT, WITHOUT ROWID;

CREATE INDEX run_line_run ON run_line (run_id);

-- One row a finished block, with the id its device made. A later row for the same block corrects an earlier one.
CREATE TABLE run_block (
  seq           INTEGER PRIMARY KEY,
  id            TEXT NOT NULL UNIQUE,
  run_id        TEXT NOT NULL REFERENCES run,
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
  note          TEXT NOT NULL,
  used_degrees  REAL,                      -- how the side really lay when it was another way than planned
  used_stack_cm REAL CHECK (used_stack_cm IS NULL OR used_degrees IS NOT NULL),
  used_apparatus    TEXT CHECK (used_apparatus IS NULL OR used_degrees IS NOT NULL)  -- JSON: bench, incline, strap, band
) STRICT;

CREATE INDEX run_block_run ON run_block (run_id, seq);

CREATE TABLE run_close (
  run_id      TEXT PRIMARY KEY REFERENCES run,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  observer    TEXT NOT NULL,
  rating      INTEGER,
  stop_sign   TEXT,
  stop_side   TEXT,
  note        TEXT NOT NULL
) STRICT;

CREATE INDEX run_close_time ON run_close (happened_at);
CREATE INDEX run_close_stop ON run_close (happened_at, run_id) WHERE stop_sign IS NOT NULL;

CREATE TRIGGER run_closed AFTER INSERT ON run_close BEGIN
  UPDATE run SET closed = 1 WHERE id = NEW.run_id;
END;

CREATE TABLE morning (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL UNIQUE,
  run_id      TEXT NOT NULL REFERENCES run,
  question    TEXT NOT NULL,
  correction  TEXT,                        -- why the answer before it does not hold; null for a first answer
  settled     INTEGER NOT NULL CHECK (settled IN (0, 1)),
  soreness    INTEGER,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL
) STRICT;

CREATE INDEX morning_run ON morning (run_id, seq);

-- What a force gauge gave, block by block, and what 100 % was. Samples are packed without loss.
CREATE TABLE trace (
  id                TEXT PRIMARY KEY,
  run_id            TEXT NOT NULL REFERENCES run,
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

CREATE INDEX trace_run ON trace (run_id);

CREATE TABLE reference_contraction (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  run_id      TEXT REFERENCES run,         -- the run before which it was measured
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

CREATE INDEX reference_run ON reference_contraction (run_id);

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

-- Who may sign in, who may see which client, and who saw or changed what.
CREATE TABLE account (
  id            TEXT PRIMARY KEY,
  recorded_at   INTEGER NOT NULL,
  sign_in       TEXT NOT NULL UNIQUE,
  name          TEXT NOT NULL,
  role          TEXT NOT NULL CHECK (role IN ('OWNER', 'COACH', 'ASSISTANT')),
  password_hash TEXT NOT NULL,
  units         TEXT NOT NULL DEFAULT 'METRIC' CHECK (units IN ('METRIC', 'IMPERIAL')),
  disabled_at   INTEGER
) STRICT;

-- Only a digest of the token is kept: a copy of this file signs nobody in.
CREATE TABLE sign_in_token (
  digest     TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES account,
  created_at INTEGER NOT NULL,
  expires_at INTEGER NOT NULL
) STRICT;

CREATE INDEX sign_in_token_account ON sign_in_token (account_id);

-- Tries at a door, each counted before it is looked at: by name, by address, by a device that was let in before.
CREATE TABLE sign_in_try (
  id  INTEGER PRIMARY KEY,
  key TEXT NOT NULL,
  at  INTEGER NOT NULL
) STRICT;

CREATE INDEX sign_in_try_key ON sign_in_try (key, at);

-- Devices on which somebody once signed in: nobody else's wrong tries keep them out.
CREATE TABLE known_device (
  digest     TEXT NOT NULL,
  account_id TEXT NOT NULL REFERENCES account,
  at         INTEGER NOT NULL,
  PRIMARY KEY (digest, account_id)
) STRICT;

CREATE INDEX known_device_account ON known_device (account_id);

-- The newest row for a client and an account is in force.
CREATE TABLE client_access (
  id          INTEGER PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT NOT NULL REFERENCES account,
  recorded_at INTEGER NOT NULL,
  kind        TEXT NOT NULL CHECK (kind IN ('OWN', 'SHARED', 'NONE'))
) STRICT;

CREATE INDEX client_access_pair ON client_access (account_id, client_id, id);

CREATE TABLE audit (
  id         INTEGER PRIMARY KEY,
  at         INTEGER NOT NULL,
  account_id TEXT NOT NULL REFERENCES account,
  client_id  TEXT,
  action     TEXT NOT NULL CHECK (action IN ('SAW', 'CHANGED')),
  what       TEXT NOT NULL
) STRICT;

CREATE INDEX audit_client ON audit (client_id, id);

CREATE TABLE screening (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  happened_at INTEGER NOT NULL,
  recorded_at INTEGER NOT NULL,
  answers     TEXT NOT NULL                -- JSON
) STRICT;

CREATE INDEX screening_client ON screening (client_id, happened_at);

-- What a coach adds on top of the screening; only a clearance loosens it.
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
  assessment_id TEXT REFERENCES assessment,  -- null: tested in a run
  run_id        TEXT REFERENCES run,
  movement      TEXT NOT NULL,
  unit          TEXT NOT NULL CHECK (unit IN ('GRADE', 'CENTIMETRE')),
  warmth        TEXT NOT NULL CHECK (warmth IN ('COLD', 'WARM')),
  value         REAL NOT NULL,
  happened_at   INTEGER NOT NULL,
  recorded_at   INTEGER NOT NULL,
  note          TEXT NOT NULL
) STRICT;

CREATE INDEX movement_result_assessment ON movement_result (assessment_id);
CREATE INDEX movement_result_run ON movement_result (run_id);

-- The studio's own standard errors of measurement, degrees, and limits of the control gap; null for the house rule. The newest row counts.
CREATE TABLE noise_rules (
  id             INTEGER PRIMARY KEY,
  recorded_at    INTEGER NOT NULL,
  account_id     TEXT NOT NULL,
  sem_coach      REAL NOT NULL,
  sem_self       REAL NOT NULL,
  gap_most REAL,
  gap_share REAL,
  gap_least REAL
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

-- All that the range map needs of a cold reading, in the order in which series are read: the table itself is not touched.
CREATE INDEX measurement_cold ON measurement (client_id, warmth, motion, position, instrument, side, mode, brief);

-- The studio's own methods, each saving a row of its own.
CREATE TABLE studio_method (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL,
  account_id  TEXT NOT NULL,
  recorded_at INTEGER NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;

CREATE INDEX studio_method_id ON studio_method (id, seq);

-- The studio's own positions, each saving a row of its own.
CREATE TABLE studio_position (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL,
  account_id  TEXT NOT NULL,
  recorded_at INTEGER NOT NULL,
  body        TEXT                         -- JSON; null: removed
) STRICT;

CREATE INDEX studio_position_id ON studio_position (id, seq);

-- A client's own way in: a link that a coach made. Only digests are kept. It opens the training, or one report and nothing else.
CREATE TABLE home_link (
  id          TEXT PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT NOT NULL REFERENCES account,
  digest      TEXT NOT NULL UNIQUE,
  pin_hash    TEXT,                        -- null: no PIN
  wrong_pins  INTEGER NOT NULL DEFAULT 0,
  happened_at INTEGER NOT NULL,
  expires_at  INTEGER NOT NULL,
  revoked_at  INTEGER,
  report      TEXT,                        -- JSON: which report it opens; null: the training
  opened      INTEGER NOT NULL DEFAULT 0   -- how often its report was
) STRICT;

CREATE INDEX home_link_client ON home_link (client_id);

-- A device that came in by a link; it ends with the link.
CREATE TABLE home_visit (
  digest      TEXT PRIMARY KEY,
  link_id     TEXT NOT NULL REFERENCES home_link,
  happened_at INTEGER NOT NULL
) STRICT;

CREATE INDEX home_visit_link ON home_visit (link_id);

-- What a coach writes about a client, or above their report; each saving is a new row.
CREATE TABLE client_note (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL UNIQUE,
  client_id   TEXT NOT NULL REFERENCES client,
  account_id  TEXT REFERENCES account,     -- null: came in by a file
  kind        TEXT NOT NULL CHECK (kind IN ('CLIENT', 'REPORT')),
  corrects    TEXT REFERENCES client_note (id),  -- the first form of the same note
  recorded_at INTEGER NOT NULL,
  text        TEXT NOT NULL                -- empty: removed
) STRICT;

CREATE INDEX client_note_corrects ON client_note (corrects, seq);

CREATE INDEX client_note_client ON client_note (client_id, seq);

CREATE INDEX client_note_account ON client_note (account_id);

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

-- What a client's days are like: the usual week, dates that are other than usual, busy times of a file, appointments, the block of
-- weeks. Each saving a row, the newest of a kind and id counts.
CREATE TABLE calendar_entry (
  seq         INTEGER PRIMARY KEY,
  id          TEXT NOT NULL CHECK (length(id) <= 64),
  client_id   TEXT NOT NULL REFERENCES client,
  kind        TEXT NOT NULL,
  account_id  TEXT,
  recorded_at INTEGER NOT NULL,
  body        TEXT                         -- JSON; null: removed
) STRICT;

CREATE INDEX calendar_entry_client ON calendar_entry (client_id, kind, id, seq);

-- When a coach is at the studio.
CREATE TABLE studio_hours (
  account_id  TEXT PRIMARY KEY REFERENCES account,
  body        TEXT NOT NULL                -- JSON
) STRICT;

-- A week as it was planned, moved and planned again, each a row; the newest of a Monday counts.
CREATE TABLE planned_week (
  seq         INTEGER PRIMARY KEY,
  client_id   TEXT NOT NULL REFERENCES client,
  monday      TEXT NOT NULL,
  account_id  TEXT,                        -- who changed it by hand; null: planned
  recorded_at INTEGER NOT NULL,
  body        TEXT NOT NULL                -- JSON
) STRICT;

CREATE INDEX planned_week_client ON planned_week (client_id, monday, seq);

-- A secret address from which a calendar program fetches a client's weeks, or an account's appointments. Only digests are kept.
CREATE TABLE calendar_link (
  id          TEXT PRIMARY KEY,
  client_id   TEXT REFERENCES client,      -- null: all of the account's clients
  account_id  TEXT NOT NULL REFERENCES account,
  digest      TEXT NOT NULL UNIQUE,
  happened_at INTEGER NOT NULL,
  revoked_at  INTEGER
) STRICT;

CREATE INDEX calendar_link_client ON calendar_link (client_id);
CREATE INDEX calendar_link_account ON calendar_link (account_id);

CREATE INDEX client_access_client ON client_access (client_id);

CREATE INDEX assessment_client ON assessment (client_id);

CREATE INDEX movement_result_client ON movement_result (client_id, movement, happened_at);

CREATE INDEX home_link_account ON home_link (account_id);

CREATE INDEX audit_account ON audit (account_id);

CREATE INDEX policy_use_policy ON policy_use (policy_id, version);

CREATE INDEX home_note_unread ON home_note (happened_at) WHERE read_at IS NULL;

-- A client's stamp changes with everything that their lines are judged by, so that what was worked out of them may be kept
-- under it. It is drawn by chance: what a transaction that was rolled back has seen never comes again. A run that nobody has
-- closed bears on no line.

CREATE TRIGGER stamp_client_details AFTER INSERT ON client_details BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_measurement AFTER INSERT ON measurement BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_clearance AFTER INSERT ON clearance BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_client_pause AFTER INSERT ON client_pause BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_calendar_entry AFTER INSERT ON calendar_entry BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_assessment AFTER INSERT ON assessment BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_battery AFTER INSERT ON battery BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_session AFTER INSERT ON session BEGIN
  UPDATE client SET stamp = random() WHERE id = NEW.client_id;
END;

CREATE TRIGGER stamp_line_version AFTER INSERT ON line_version BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM line WHERE id = NEW.line_id);
END;

CREATE TRIGGER stamp_decision AFTER INSERT ON decision BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM line WHERE id = NEW.line_id);
END;

CREATE TRIGGER stamp_decision_undo AFTER INSERT ON decision_undo BEGIN
  UPDATE client SET stamp = random()
   WHERE id = (SELECT l.client_id FROM decision d JOIN line l ON l.id = d.line_id WHERE d.id = NEW.decision_id);
END;

CREATE TRIGGER stamp_run_close AFTER INSERT ON run_close BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM run WHERE id = NEW.run_id);
END;

CREATE TRIGGER stamp_morning AFTER INSERT ON morning BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM run WHERE id = NEW.run_id);
END;

CREATE TRIGGER stamp_run_block AFTER INSERT ON run_block WHEN EXISTS (SELECT 1 FROM run_close WHERE run_id = NEW.run_id) BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM run WHERE id = NEW.run_id);
END;

CREATE TRIGGER stamp_trace AFTER INSERT ON trace WHEN EXISTS (SELECT 1 FROM run_close WHERE run_id = NEW.run_id) BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM run WHERE id = NEW.run_id);
END;

CREATE TRIGGER stamp_trace_judged AFTER UPDATE ON trace WHEN EXISTS (SELECT 1 FROM run_close WHERE run_id = NEW.run_id) BEGIN
  UPDATE client SET stamp = random() WHERE id = (SELECT client_id FROM run WHERE id = NEW.run_id);
END;

-- What readings are held against is the whole studio's.
CREATE TRIGGER stamp_noise_rules AFTER INSERT ON noise_rules BEGIN
  UPDATE client SET stamp = random();
END;

CREATE TRIGGER stamp_noise_study AFTER UPDATE ON noise_study BEGIN
  UPDATE client SET stamp = random();
END;

CREATE TRIGGER stamp_noise_study_new AFTER INSERT ON noise_study BEGIN
  UPDATE client SET stamp = random();
END;

CREATE TRIGGER stamp_study_reading AFTER INSERT ON study_reading BEGIN
  UPDATE client SET stamp = random();
END;

CREATE TRIGGER stamp_studio_method AFTER INSERT ON studio_method BEGIN
  UPDATE client SET stamp = random();
END;

CREATE TRIGGER stamp_studio_position AFTER INSERT ON studio_position BEGIN
  UPDATE client SET stamp = random();
END;
