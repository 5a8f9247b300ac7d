-- The builder's own tubes. A tube is named by its type and what is written on it; its record is read and written whole.
CREATE TABLE drawer_tube (
    id       bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    type     text        NOT NULL,
    label    text        NOT NULL,
    tube     jsonb       NOT NULL,
    saved_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (type, label)
);

-- Tests are only added; the same test comes in once.
CREATE TABLE tube_test (
    id         bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    tube_id    bigint      NOT NULL REFERENCES drawer_tube,
    test       jsonb       NOT NULL,
    entered_at timestamptz NOT NULL DEFAULT now(),
    UNIQUE (tube_id, test)
);

-- Who sat where, from when to when; open rows are the present.
CREATE TABLE seat (
    id      bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    tube_id bigint      NOT NULL REFERENCES drawer_tube,
    amp_id  bigint      NOT NULL REFERENCES amp,
    socket  text        NOT NULL,
    since   timestamptz NOT NULL,
    until   timestamptz
);

CREATE UNIQUE INDEX seat_one_tube ON seat (amp_id, socket) WHERE until IS NULL;
CREATE UNIQUE INDEX seat_one_place ON seat (tube_id) WHERE until IS NULL;
CREATE INDEX seat_of_tube ON seat (tube_id, id);
