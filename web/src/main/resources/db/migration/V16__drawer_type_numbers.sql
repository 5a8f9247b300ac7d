-- Numbers that the catalogue did not know were kept as typed; now they stand for a listed type, and the tubes lie with it.
-- A tube whose label is taken there, or that an earlier one takes, stays where it is.
WITH known (typed, listed) AS (VALUES
  ('6L6', '6L6G'), ('6L6GA', '6L6G'), ('6L6WGB', '5881'), ('6V6', '6V6GT'), ('6V6G', '6V6GT'), ('6AQ5', '6AQ5A'),
  ('6005', '6AQ5A'), ('7591', '7591A'), ('7027', '7027A'), ('6F6G', '6F6GT'), ('6BM8', 'ECL82'), ('6GW8', 'ECL86'),
  ('6CW5', 'EL86'), ('6080', '6AS7G')),
found AS (
  SELECT t.id, t.label, k.listed, row_number() OVER (PARTITION BY k.listed, t.label ORDER BY t.id) AS place
  FROM drawer_tube t JOIN known k ON upper(regexp_replace(t.type, '[ -]', '', 'g')) = k.typed)
UPDATE drawer_tube t SET type = f.listed, version = t.version + 1
FROM found f
WHERE f.id = t.id AND f.place = 1
  AND NOT EXISTS (SELECT 1 FROM drawer_tube o WHERE o.type = f.listed AND o.label = f.label);
