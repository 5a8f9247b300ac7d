-- All times come from the application's clock; the database's own decides none.
ALTER TABLE amp          ALTER COLUMN created_at DROP DEFAULT;
ALTER TABLE amp_sheet    ALTER COLUMN saved_at   DROP DEFAULT;
ALTER TABLE bench_run    ALTER COLUMN begun_at   DROP DEFAULT;
ALTER TABLE reading      ALTER COLUMN entered_at DROP DEFAULT;
ALTER TABLE form_taken   ALTER COLUMN taken_at   DROP DEFAULT;
ALTER TABLE own_tube     ALTER COLUMN added_at   DROP DEFAULT;
ALTER TABLE drawer_tube  ALTER COLUMN saved_at   DROP DEFAULT;
ALTER TABLE tube_test    ALTER COLUMN entered_at DROP DEFAULT;
ALTER TABLE kept_setting ALTER COLUMN kept_at    DROP DEFAULT;

-- What somebody else has saved meanwhile is not overwritten.
ALTER TABLE own_tube ADD COLUMN version integer NOT NULL DEFAULT 1;

-- A kept setting is a document of values; those of before, the form as it was typed, are of format 1.
ALTER TABLE kept_setting RENAME COLUMN fields TO setting;
