-- An amp sheet is read and written whole; every saved version stays what it was.
CREATE TABLE amp (
    id         bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    created_at timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE amp_sheet (
    amp_id   bigint      NOT NULL REFERENCES amp,
    version  integer     NOT NULL CHECK (version > 0),
    saved_at timestamptz NOT NULL DEFAULT now(),
    sheet    jsonb       NOT NULL,
    PRIMARY KEY (amp_id, version)
);

-- A run on an amp. While it is open it follows the newest sheet; closing it pins the version it was judged by.
CREATE TABLE bench_run (
    id            bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    amp_id        bigint      NOT NULL REFERENCES amp,
    begun_at      timestamptz NOT NULL DEFAULT now(),
    closed_at     timestamptz,
    sheet_version integer,
    CHECK ((closed_at IS NULL) = (sheet_version IS NULL)),
    FOREIGN KEY (amp_id, sheet_version) REFERENCES amp_sheet (amp_id, version)
);

CREATE INDEX bench_run_of_amp ON bench_run (amp_id, id DESC);
CREATE UNIQUE INDEX bench_run_one_open ON bench_run (amp_id) WHERE closed_at IS NULL;

-- Readings are never updated or deleted: a correction is a new row that strikes the old one.
CREATE TABLE reading (
    id         bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    run_id     bigint           NOT NULL REFERENCES bench_run,
    kind       text             NOT NULL,
    target     text             NOT NULL DEFAULT '',
    value      double precision NOT NULL DEFAULT 0,
    words      text             NOT NULL DEFAULT '',
    typed      text             NOT NULL,
    by_whom    text             NOT NULL DEFAULT '',
    taken_at   timestamptz      NOT NULL,
    entered_at timestamptz      NOT NULL DEFAULT now(),
    strikes    bigint UNIQUE REFERENCES reading,
    CHECK ((kind = 'STRIKE') = (strikes IS NOT NULL))
);

CREATE INDEX reading_of_run ON reading (run_id, id DESC);
CREATE INDEX reading_latest ON reading (run_id, kind, target, id DESC);

-- The builder's own tube types and their makers' figures, beside the published catalogue.
CREATE TABLE own_tube (
    name     text PRIMARY KEY,
    added_at timestamptz NOT NULL DEFAULT now(),
    type     jsonb       NOT NULL
);
