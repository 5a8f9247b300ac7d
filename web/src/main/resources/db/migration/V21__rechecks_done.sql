-- A reading of a later run ticks a look off. Once that run is closed nothing of it is struck any more, so that it is written
-- down then, and only the open run of an amp is still looked through.
ALTER TABLE recheck ADD COLUMN done boolean NOT NULL DEFAULT false;

UPDATE recheck c SET done = true WHERE NOT c.dropped AND EXISTS (
    SELECT 1 FROM bench_run b JOIN reading r ON r.run_id = b.id AND r.kind IN ('SENSE_VOLTS', 'SENSE_AMPS')
    WHERE b.amp_id = c.amp_id AND b.id > c.run_id AND b.closed_at IS NOT NULL
      AND r.taken_at >= c.due_at - make_interval(mins => c.early_minutes));

DROP INDEX recheck_of_amp;
CREATE INDEX recheck_of_amp ON recheck (amp_id, due_at) WHERE NOT dropped AND NOT done;
