-- Up Migration
-- How well a spring's force at rest is known: from the lengths it was rated by.
ALTER TABLE stock_item ADD COLUMN u_preload double precision CHECK (u_preload >= 0);

-- Down Migration
ALTER TABLE stock_item DROP COLUMN u_preload;
