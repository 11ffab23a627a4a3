-- A session runs a line's plan or a composed session: one of the two. Rebuilt, since a column cannot lose its NOT NULL;
-- the blocks and answers that refer to it are checked when the transaction ends.
PRAGMA defer_foreign_keys = ON;

CREATE TABLE session_before AS SELECT * FROM session;
DROP TABLE session;

CREATE TABLE session (
  id             TEXT PRIMARY KEY,
  line_id        TEXT REFERENCES line,
  client_id      TEXT NOT NULL REFERENCES client,
  happened_at    INTEGER NOT NULL,
  recorded_at    INTEGER NOT NULL,
  plan           TEXT,                     -- JSON: the plan with that day's doses; of a line
  timeline       TEXT,                     -- JSON: as compiled; null when imported
  composition_id TEXT,                     -- what was composed, by its id of that day
  name           TEXT,
  draft          TEXT,                     -- JSON: the session as it was composed that day
  CHECK ((line_id IS NULL) = (plan IS NULL)),
  CHECK ((line_id IS NULL) <> (draft IS NULL)),
  CHECK ((draft IS NULL) = (composition_id IS NULL))
) STRICT;

INSERT INTO session (id, line_id, client_id, happened_at, recorded_at, plan, timeline)
SELECT id, line_id, client_id, happened_at, recorded_at, plan, timeline FROM session_before;
DROP TABLE session_before;

CREATE INDEX session_line ON session (line_id, happened_at);
CREATE INDEX session_client ON session (client_id);
CREATE INDEX session_composition ON session (composition_id) WHERE composition_id IS NOT NULL;
