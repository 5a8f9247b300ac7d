-- Points of a tube's own curves, read by hand; V, A. Without screen volts it has no screen, or it hung on the plate.
CREATE TABLE tube_point (
    id           bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    tube_id      bigint           NOT NULL REFERENCES drawer_tube,
    plate_volts  double precision NOT NULL,
    screen_volts double precision,
    grid_volts   double precision NOT NULL,
    amps         double precision NOT NULL,
    screen_amps  double precision,
    taken_by     text             NOT NULL,
    left_out     boolean          NOT NULL DEFAULT false,
    entered_at   timestamptz      NOT NULL
);

CREATE INDEX tube_point_of_tube ON tube_point (tube_id, id);

-- A tube that is made up, to practise on; the seed decides it.
CREATE TABLE practice_tube (
    tube_id bigint PRIMARY KEY REFERENCES drawer_tube,
    seed    bigint NOT NULL
);

-- A tester with a scale of its own has a setting instead of volts; what it showed on the way stands as it was typed.
ALTER TABLE tube_test
    ALTER COLUMN plate_volts DROP NOT NULL,
    ALTER COLUMN screen_volts DROP NOT NULL,
    ADD COLUMN setting text NOT NULL DEFAULT '',
    ADD COLUMN warm_up text NOT NULL DEFAULT '',
    ADD CONSTRAINT tube_test_volts_or_setting CHECK (setting <> '' OR (plate_volts IS NOT NULL AND screen_volts IS NOT NULL));

DROP INDEX tube_test_once;
CREATE UNIQUE INDEX tube_test_once ON tube_test (
    tube_id, coalesce(tested, '-infinity'::date), tester, coalesce(plate_volts, 'NaN'), coalesce(screen_volts, 'NaN'),
    coalesce(grid_volts, 'NaN'), current, amps, coalesce(amps_before, 'NaN'), coalesce(warm_minutes, 'NaN'),
    coalesce(transconductance, 'NaN'), tap, gas, setting, warm_up);
