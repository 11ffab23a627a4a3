-- The range map reads a client's ten years from one index: a line for each reading, kept true by SQLite itself. The median of
-- the trials stands beside them, so that nobody works it out again for each of twenty thousand rows.
ALTER TABLE measurement ADD COLUMN median_deg REAL NOT NULL DEFAULT 0;
ALTER TABLE measurement ADD COLUMN trial_count INTEGER NOT NULL DEFAULT 1 CHECK (trial_count BETWEEN 1 AND 6);
UPDATE measurement SET
  trial_count = json_array_length('[' || replace(trials, ';', ',') || ']'),
  median_deg = (WITH sorted AS (SELECT value, row_number() OVER (ORDER BY value) AS n, count(*) OVER () AS many
                                  FROM json_each('[' || replace(trials, ';', ',') || ']'))
                SELECT avg(value) FROM sorted WHERE n IN ((many + 1) / 2, (many + 2) / 2));
ALTER TABLE measurement ADD COLUMN brief TEXT GENERATED ALWAYS AS
  (happened_at || char(9) || median_deg || char(9) || trial_count || char(9) || tester
   || char(9) || ifnull(end_feel, '') || char(9) || ifnull(measured_by, '')) VIRTUAL;
DROP INDEX measurement_cold;
CREATE INDEX measurement_cold ON measurement (client_id, warmth, motion, position, instrument, side, mode, brief);

-- The studio's own limits of the control gap; null for the house rule.
ALTER TABLE noise_rules ADD COLUMN gap_most REAL;
ALTER TABLE noise_rules ADD COLUMN gap_share REAL;
ALTER TABLE noise_rules ADD COLUMN gap_least REAL;
