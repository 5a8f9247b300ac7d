-- Settings compared by ear: what is set when, which only the server knows until it is opened, and what was heard.
CREATE TABLE blind (
    id        bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    run_id    bigint      NOT NULL REFERENCES bench_run,
    plan      jsonb       NOT NULL,
    begun_at  timestamptz NOT NULL,
    position  integer     NOT NULL DEFAULT 0,
    ready     boolean     NOT NULL DEFAULT false,
    opened_at timestamptz
);

CREATE INDEX blind_of_run ON blind (run_id, id);

CREATE TABLE blind_note (
    blind_id bigint      NOT NULL REFERENCES blind,
    position integer     NOT NULL,
    mark     integer,
    answer   text        NOT NULL,
    words    text        NOT NULL,
    noted_at timestamptz NOT NULL,
    PRIMARY KEY (blind_id, position)
);
