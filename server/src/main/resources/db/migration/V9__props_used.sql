-- How a side really lay when it was another way than planned; empty as planned.
ALTER TABLE session_block ADD COLUMN used_degrees REAL;
ALTER TABLE session_block ADD COLUMN used_stack_cm REAL CHECK (used_stack_cm IS NULL OR used_degrees IS NOT NULL);
