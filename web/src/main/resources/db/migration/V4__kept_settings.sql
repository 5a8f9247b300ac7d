-- Settings of an amp's load line that the builder keeps side by side.
CREATE TABLE kept_setting (
    id      bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    amp_id  bigint      NOT NULL REFERENCES amp,
    fields  jsonb       NOT NULL,
    kept_at timestamptz NOT NULL DEFAULT now()
);

CREATE INDEX kept_setting_of_amp ON kept_setting (amp_id, id);
