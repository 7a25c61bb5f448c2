-- Up Migration
-- Names are compared as names; until now the ids made of them were.
CREATE UNIQUE INDEX gauge_name ON gauge (lower(trim(name)));

-- Down Migration
DROP INDEX gauge_name;
