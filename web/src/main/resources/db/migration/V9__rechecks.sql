-- When an amp is to be looked at again, planned when a run on it is closed. It is ticked off by a reading, which is looked for
-- when it is asked: nothing is written then. early_minutes is how much before it is due a reading counts.
CREATE TABLE recheck (
    id            bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    amp_id        bigint      NOT NULL REFERENCES amp,
    run_id        bigint      NOT NULL REFERENCES bench_run,
    kind          text        NOT NULL,
    due_at        timestamptz NOT NULL,
    early_minutes integer     NOT NULL CHECK (early_minutes >= 0),
    dropped       boolean     NOT NULL DEFAULT false
);

CREATE INDEX recheck_of_amp ON recheck (amp_id, due_at) WHERE NOT dropped;
