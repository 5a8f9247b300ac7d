-- Every reading knows the version of the sheet it was entered under, the line it was typed on and what its last digit stood
-- for. Readings from before were entered under the version that was the newest then, each on a line of its own.
ALTER TABLE reading ADD COLUMN sheet_version integer;
ALTER TABLE reading ADD COLUMN line bigint;
ALTER TABLE reading ADD COLUMN last_digit double precision NOT NULL DEFAULT 0;

UPDATE reading r SET sheet_version = coalesce(
    (SELECT max(s.version) FROM amp_sheet s JOIN bench_run b ON b.amp_id = s.amp_id WHERE b.id = r.run_id AND s.saved_at <= r.entered_at), 1);

ALTER TABLE reading ALTER COLUMN sheet_version SET NOT NULL;

-- The tubes of an amp outlast a run: what was put in last is looked up over all of its runs.
CREATE INDEX reading_tubes ON reading (run_id, target, id DESC) WHERE kind = 'TUBE';

-- Forms that were taken, each once: the same line sent twice is stored once.
CREATE TABLE form_taken (
    form     uuid PRIMARY KEY,
    run_id   bigint      NOT NULL REFERENCES bench_run,
    taken_at timestamptz NOT NULL DEFAULT now()
);
