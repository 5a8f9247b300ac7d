-- Not only the lines of a run are told apart when they come twice, but whatever a page sends: not all of that is of a run.
ALTER TABLE form_taken ALTER COLUMN run_id DROP NOT NULL;

CREATE INDEX form_taken_by_age ON form_taken (taken_at) WHERE run_id IS NULL;
