-- Whoever looks at a run is told that something of it, or of its amp, was stored: at the commit, and with the number of the
-- transaction, so that a page knows whether it has seen it. Several applications on one server hear each other this way.
CREATE FUNCTION tell_of_change() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
    row jsonb := to_jsonb(CASE WHEN TG_OP = 'DELETE' THEN OLD ELSE NEW END);
BEGIN
    PERFORM pg_notify('changed', concat_ws(' ', TG_ARGV[0], row ->> TG_ARGV[1], pg_current_xact_id()));
    RETURN NULL;
END $$;

CREATE TRIGGER tell AFTER INSERT OR UPDATE ON bench_run FOR EACH ROW EXECUTE FUNCTION tell_of_change('run', 'id');
CREATE TRIGGER tell AFTER INSERT ON reading FOR EACH ROW EXECUTE FUNCTION tell_of_change('run', 'run_id');
CREATE TRIGGER tell AFTER INSERT OR DELETE ON station_event FOR EACH ROW EXECUTE FUNCTION tell_of_change('run', 'run_id');
CREATE TRIGGER tell AFTER INSERT OR UPDATE OR DELETE ON meter_watch FOR EACH ROW EXECUTE FUNCTION tell_of_change('run', 'run_id');
CREATE TRIGGER tell AFTER INSERT OR UPDATE OR DELETE ON recording FOR EACH ROW EXECUTE FUNCTION tell_of_change('run', 'run_id');
CREATE TRIGGER tell AFTER INSERT OR UPDATE OR DELETE ON practice FOR EACH ROW EXECUTE FUNCTION tell_of_change('run', 'run_id');
CREATE TRIGGER tell AFTER INSERT ON amp_sheet FOR EACH ROW EXECUTE FUNCTION tell_of_change('amp', 'amp_id');
CREATE TRIGGER tell AFTER INSERT OR UPDATE OR DELETE ON seat FOR EACH ROW EXECUTE FUNCTION tell_of_change('amp', 'amp_id');
