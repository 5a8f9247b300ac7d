-- The devices that were let in from the network of the house. What a device shows is a random token, of which only the sum is
-- kept. This is no part of the builder's data: no backup and no export holds it.
CREATE TABLE device (
    id         bigint      GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    name       text        NOT NULL,
    token_sum  bytea       NOT NULL UNIQUE,
    let_in_at  timestamptz NOT NULL,
    good_until timestamptz NOT NULL,
    seen_at    timestamptz NOT NULL
);
