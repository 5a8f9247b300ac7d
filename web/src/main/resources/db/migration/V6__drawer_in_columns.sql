-- What is told of a tube stands in columns: the drawer is searched by them, and a change of one version makes the next.
ALTER TABLE drawer_tube
    ADD COLUMN maker    text NOT NULL DEFAULT '',
    ADD COLUMN markings text NOT NULL DEFAULT '',
    ADD COLUMN bought   date,
    ADD COLUMN state    text NOT NULL DEFAULT 'USED',
    ADD COLUMN notes    text NOT NULL DEFAULT '',
    ADD COLUMN version  integer NOT NULL DEFAULT 1;

UPDATE drawer_tube SET
    maker    = coalesce(tube ->> 'maker', ''),
    markings = coalesce(tube ->> 'markings', ''),
    bought   = (tube ->> 'bought')::date,
    state    = coalesce(tube ->> 'state', 'USED'),
    notes    = coalesce(tube ->> 'notes', '');

ALTER TABLE drawer_tube DROP COLUMN tube;

-- A test is the same where all of these are. Volts, amperes, minutes, amperes per volt.
ALTER TABLE tube_test
    ADD COLUMN tested           date,
    ADD COLUMN tester           text NOT NULL DEFAULT '',
    ADD COLUMN plate_volts      double precision,
    ADD COLUMN screen_volts     double precision,
    ADD COLUMN grid_volts       double precision,
    ADD COLUMN current          text NOT NULL DEFAULT 'CATHODE',
    ADD COLUMN amps             double precision,
    ADD COLUMN amps_before      double precision,
    ADD COLUMN warm_minutes     double precision,
    ADD COLUMN transconductance double precision,
    ADD COLUMN tap              text NOT NULL DEFAULT 'UNKNOWN',
    ADD COLUMN gas              text NOT NULL DEFAULT '';

UPDATE tube_test SET
    tested           = (test ->> 'tested')::date,
    tester           = coalesce(test ->> 'tester', ''),
    plate_volts      = (test -> 'condition' ->> 'plate')::double precision,
    screen_volts     = (test -> 'condition' ->> 'screen')::double precision,
    grid_volts       = (test -> 'condition' ->> 'grid')::double precision,
    current          = coalesce(test ->> 'current', 'CATHODE'),
    amps             = (test ->> 'amps')::double precision,
    amps_before      = (test ->> 'before')::double precision,
    warm_minutes     = (test ->> 'warmMinutes')::double precision,
    transconductance = (test ->> 'transconductance')::double precision,
    tap              = coalesce(test ->> 'tap', 'UNKNOWN'),
    gas              = coalesce(test ->> 'gas', '');

ALTER TABLE tube_test
    ALTER COLUMN plate_volts SET NOT NULL,
    ALTER COLUMN screen_volts SET NOT NULL,
    ALTER COLUMN amps SET NOT NULL,
    DROP COLUMN test;

-- Until PostgreSQL 15, what is missing is never the same as what is missing: so it is put as what cannot be.
CREATE UNIQUE INDEX tube_test_once ON tube_test (
    tube_id, coalesce(tested, '-infinity'::date), tester, plate_volts, screen_volts, coalesce(grid_volts, 'NaN'), current, amps,
    coalesce(amps_before, 'NaN'), coalesce(warm_minutes, 'NaN'), coalesce(transconductance, 'NaN'), tap, gas);
CREATE INDEX tube_test_of_tube ON tube_test (tube_id, id DESC);

-- What a closed run tells of the tube in a seat. Of an open run it is read from the log, which may still be corrected.
CREATE TABLE sitting (
    seat_id    bigint           NOT NULL REFERENCES seat,
    run_id     bigint           NOT NULL REFERENCES bench_run,
    on_seconds double precision NOT NULL,
    crept      jsonb            NOT NULL,
    suspect    boolean GENERATED ALWAYS AS (jsonb_array_length(crept) > 0) STORED,
    PRIMARY KEY (seat_id, run_id)
);

CREATE INDEX sitting_suspect ON sitting (seat_id) WHERE suspect;
CREATE INDEX seat_of_amp ON seat (amp_id);

-- Whether its sittings are written down; runs that were closed before there were any are gone through at the next start.
ALTER TABLE bench_run ADD COLUMN sittings_written boolean NOT NULL DEFAULT false;
CREATE INDEX bench_run_sittings_missing ON bench_run (id) WHERE closed_at IS NOT NULL AND NOT sittings_written;

-- An amp is often asked for its name alone.
ALTER TABLE amp_sheet ADD COLUMN name text NOT NULL DEFAULT '';
UPDATE amp_sheet SET name = coalesce(sheet ->> 'name', '');
