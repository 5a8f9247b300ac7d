-- An amp that has left the bench, and all of whose runs are still there.
ALTER TABLE amp ADD COLUMN put_away_at timestamptz;
