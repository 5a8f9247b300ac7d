-- A meter on the network that is read by itself: one watch a run. It goes on after a restart, so it stands here; what it reads
-- are readings like any other. due_at is moved before the meter is asked, so that of several instances one asks.
CREATE TABLE meter_watch (
    run_id        bigint      PRIMARY KEY REFERENCES bench_run,
    place         text        NOT NULL,
    by_whom       text        NOT NULL DEFAULT '',
    every_seconds integer     NOT NULL CHECK (every_seconds BETWEEN 1 AND 600),
    until         timestamptz NOT NULL,
    due_at        timestamptz NOT NULL,
    read_at       timestamptz,
    shown         text        NOT NULL DEFAULT '',
    fault         text        NOT NULL DEFAULT '',
    doubted       double precision
);

CREATE INDEX meter_watch_due ON meter_watch (due_at);
