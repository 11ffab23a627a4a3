-- A line may be one of a composed session: which one, by the session's id and the line's id in it. Taken out of it, it has ended.
ALTER TABLE line ADD COLUMN composition_id TEXT;
ALTER TABLE line ADD COLUMN line_key TEXT;
ALTER TABLE line ADD COLUMN ended_at INTEGER;
CREATE INDEX line_composition ON line (composition_id) WHERE composition_id IS NOT NULL;
