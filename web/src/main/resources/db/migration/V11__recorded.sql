-- A reading that a meter recorded by itself and that was brought as a file: it stands in the log by its own time, not by when
-- it was entered.
ALTER TABLE reading ADD COLUMN recorded boolean NOT NULL DEFAULT false;

UPDATE reading SET recorded = true WHERE by_whom = 'logging meter' AND taken_at < entered_at;

CREATE INDEX reading_recorded ON reading (run_id, kind, target, taken_at DESC, id DESC) WHERE recorded;
