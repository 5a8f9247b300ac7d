-- What happened to the stations of a run: done, skipped, taken up again, safety items ticked. Append only, like the readings.
CREATE TABLE station_event (
    id      bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    run_id  bigint      NOT NULL REFERENCES bench_run,
    what    text        NOT NULL,
    station text        NOT NULL,
    item    text        NOT NULL DEFAULT '',
    words   text        NOT NULL DEFAULT '',
    at      timestamptz NOT NULL
);

CREATE INDEX station_event_of_run ON station_event (run_id, id);

-- Practice amps stand on a bench of their own; their runs keep a clock of their own, so many seconds off the wall's.
ALTER TABLE amp ADD COLUMN practice boolean NOT NULL DEFAULT false;
ALTER TABLE bench_run ADD COLUMN clock_offset double precision NOT NULL DEFAULT 0;

CREATE TABLE practice (
    run_id    bigint PRIMARY KEY REFERENCES bench_run,
    exercise  text        NOT NULL,
    seed      bigint      NOT NULL,
    state     jsonb       NOT NULL,
    looked_at timestamptz NOT NULL,
    said      text        NOT NULL DEFAULT '',
    marking   jsonb
);

-- Few readings are struck: an index of those alone, instead of one that holds every reading's nothing.
ALTER TABLE reading DROP CONSTRAINT reading_strikes_key;
CREATE UNIQUE INDEX reading_struck_once ON reading (strikes) WHERE strikes IS NOT NULL;
