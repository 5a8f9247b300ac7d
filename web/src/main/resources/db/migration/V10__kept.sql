-- A reading that was asked about and kept as it was typed: told when the run is closed. Of those before it is not known.
ALTER TABLE reading ADD COLUMN kept boolean NOT NULL DEFAULT false;

CREATE INDEX reading_kept ON reading (run_id, id) WHERE kept;
