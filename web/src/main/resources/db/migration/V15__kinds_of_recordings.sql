-- A recording is of a tone that was played, or of a tube that was tapped.
ALTER TABLE recording ADD COLUMN kind text NOT NULL DEFAULT 'TONE';
ALTER TABLE recording ALTER COLUMN kind DROP DEFAULT;
