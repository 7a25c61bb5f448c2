-- Up Migration
-- Parts in the tray. How many are left is the sum of what came and went; nobody edits a count.

CREATE TABLE stock_item (
  id text PRIMARY KEY CHECK (id ~ '^[a-z0-9][a-z0-9-]{0,59}$'),
  kind text NOT NULL CHECK (kind IN ('packing', 'shim', 'ring', 'gasket', 'spring', 'stop')),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 40),
  thickness_mm double precision CHECK (thickness_mm > 0 AND thickness_mm < 100),
  u_mm double precision CHECK (u_mm >= 0 AND u_mm < 100),
  rate_n_per_mm double precision CHECK (rate_n_per_mm > 0 AND rate_n_per_mm < 1000),
  u_rate double precision CHECK (u_rate >= 0),
  preload_n double precision CHECK (preload_n > -1000 AND preload_n < 1000),
  deg double precision CHECK (deg > 0 AND deg < 90),
  -- the weights and lengths by which a spring was rated, as they were read
  loads jsonb,
  low integer NOT NULL DEFAULT 1 CHECK (low >= 0),
  added_at timestamptz NOT NULL DEFAULT now(),
  CONSTRAINT says_what_it_is CHECK (
    CASE kind
      WHEN 'spring' THEN rate_n_per_mm IS NOT NULL AND preload_n IS NOT NULL
      WHEN 'stop' THEN deg IS NOT NULL
      ELSE thickness_mm IS NOT NULL AND u_mm IS NOT NULL
    END
  )
);
CREATE UNIQUE INDEX stock_name ON stock_item (lower(trim(name)));

CREATE TABLE stock_move (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  item_id text NOT NULL REFERENCES stock_item (id),
  change integer NOT NULL CHECK (change <> 0),
  job_id uuid REFERENCES job (id),
  reason text NOT NULL CHECK (length(trim(reason)) BETWEEN 1 AND 200),
  by_person text NOT NULL REFERENCES person (id),
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX stock_move_item ON stock_move (item_id);
CREATE INDEX stock_move_job ON stock_move (job_id) WHERE job_id IS NOT NULL;
CREATE TRIGGER stock_append_only BEFORE UPDATE OR DELETE ON stock_move FOR EACH ROW EXECUTE FUNCTION keep_as_written();

CREATE FUNCTION tell_stock() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_notify('changes', '{"stock":true}');
  RETURN NULL;
END $$;
CREATE TRIGGER stock_told AFTER INSERT ON stock_move FOR EACH STATEMENT EXECUTE FUNCTION tell_stock();

ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo'
));
ALTER TABLE gauge DROP CONSTRAINT gauge_kind_check;
ALTER TABLE gauge ADD CONSTRAINT gauge_kind_check CHECK (kind IN (
  'wheel', 'dial', 'strobe', 'blade', 'micrometer', 'depth', 'torque', 'tacho', 'thermometer', 'pressure', 'eye'
));

-- Down Migration
ALTER TABLE gauge DROP CONSTRAINT gauge_kind_check;
ALTER TABLE gauge ADD CONSTRAINT gauge_kind_check CHECK (kind IN (
  'wheel', 'dial', 'strobe', 'blade', 'torque', 'tacho', 'thermometer', 'pressure', 'eye'
));
ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'override', 'remark', 'undo'
));
DROP TABLE stock_move, stock_item;
DROP FUNCTION tell_stock;
