-- Amps, tubes and own types that were deleted: what runs tell of them stays, and they can be brought back.
ALTER TABLE amp         ADD COLUMN removed_at timestamptz;
ALTER TABLE drawer_tube ADD COLUMN removed_at timestamptz;
ALTER TABLE own_tube    ADD COLUMN removed_at timestamptz;
