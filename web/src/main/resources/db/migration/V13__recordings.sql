-- What a sound card heard of an amp: the file as it came, and what was measured in it. Neither is ever changed.
-- A recording that is dropped is left out of what is told, and stays.
CREATE TABLE recording (
    id      bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    run_id  bigint      NOT NULL REFERENCES bench_run,
    kept_at timestamptz NOT NULL,
    heard   jsonb       NOT NULL,
    sound   bytea       NOT NULL,
    dropped boolean     NOT NULL DEFAULT false
);

-- Sound does not get smaller by it.
ALTER TABLE recording ALTER COLUMN sound SET STORAGE EXTERNAL;

CREATE INDEX recording_of_run ON recording (run_id, id);
