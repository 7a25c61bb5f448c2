-- Up Migration
-- Facts are appended and never changed; what follows from them stands in derived tables that one command rebuilds.

CREATE TABLE person (
  id text PRIMARY KEY CHECK (id ~ '^[a-z0-9][a-z0-9-]{0,59}$'),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  role text NOT NULL DEFAULT 'technician' CHECK (role IN ('technician', 'lead', 'apprentice', 'reader')),
  added_at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX person_name ON person (lower(trim(name)));

CREATE TABLE engine (
  id text PRIMARY KEY CHECK (id ~ '^[a-z0-9][a-z0-9-]{0,59}$'),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  summary text NOT NULL DEFAULT '' CHECK (length(summary) <= 200),
  added_at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX engine_name ON engine (lower(trim(name)));

-- The data sheet: the newest entry of a name counts, the older ones stay readable.
CREATE TABLE sheet_value (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  engine_id text NOT NULL REFERENCES engine (id),
  name text NOT NULL CHECK (name ~ '^[a-zA-Z]{1,40}$'),
  given text NOT NULL CHECK (length(given) BETWEEN 1 AND 200),
  unit text CHECK (length(unit) <= 10),
  value jsonb NOT NULL CHECK (jsonb_typeof(value) IN ('number', 'string', 'array')),
  source text NOT NULL CHECK (length(trim(source)) BETWEEN 1 AND 200),
  by_person text NOT NULL REFERENCES person (id),
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX sheet_value_current ON sheet_value (engine_id, name, id DESC);

CREATE TABLE gauge (
  id text PRIMARY KEY CHECK (id ~ '^[a-z0-9][a-z0-9-]{0,59}$'),
  name text NOT NULL CHECK (length(trim(name)) BETWEEN 1 AND 80),
  kind text NOT NULL CHECK (kind IN ('wheel', 'dial', 'strobe', 'blade', 'torque', 'tacho', 'thermometer', 'pressure', 'eye')),
  resolution double precision NOT NULL CHECK (resolution >= 0 AND resolution < 'Infinity'),
  accuracy double precision NOT NULL CHECK (accuracy >= 0 AND accuracy < 'Infinity'),
  per_rev_mm double precision CHECK (per_rev_mm > 0),
  calibrated_on date
);

CREATE TABLE job (
  id uuid PRIMARY KEY,
  engine_id text NOT NULL REFERENCES engine (id),
  sheet text NOT NULL CHECK (length(sheet) BETWEEN 1 AND 60),
  promised_on date,
  opened_by text NOT NULL REFERENCES person (id),
  opened_at timestamptz NOT NULL DEFAULT now(),
  -- counts the events of this job; taking the next number also puts writers of one job in line
  last_seq integer NOT NULL DEFAULT 0 CHECK (last_seq >= 0)
);
CREATE INDEX job_engine ON job (engine_id, opened_at);

CREATE TABLE event (
  id uuid PRIMARY KEY,
  job_id uuid NOT NULL REFERENCES job (id),
  seq integer NOT NULL CHECK (seq > 0),
  kind text NOT NULL CHECK (kind IN ('reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'override', 'remark', 'undo')),
  at timestamptz NOT NULL DEFAULT now(),
  by_person text NOT NULL REFERENCES person (id),
  -- a figure, for readings and their amendments: as typed, and as understood in base units
  typed text CHECK (length(typed) BETWEEN 1 AND 200),
  unit text CHECK (length(unit) <= 10),
  value double precision CHECK (value > '-Infinity' AND value < 'Infinity'),
  resolution double precision CHECK (resolution >= 0 AND resolution < 'Infinity'),
  gauge jsonb,
  -- an amendment names what it replaces and the state of it that its author saw; an undo what it undoes
  replaces uuid REFERENCES event (id),
  basis uuid REFERENCES event (id),
  undoes uuid REFERENCES event (id),
  reason text CHECK (length(trim(reason)) BETWEEN 1 AND 500),
  body jsonb NOT NULL DEFAULT '{}',
  UNIQUE (job_id, seq),
  CONSTRAINT figure_complete CHECK (
    (kind IN ('reading', 'amend')) = (typed IS NOT NULL AND unit IS NOT NULL AND value IS NOT NULL AND resolution IS NOT NULL)
  ),
  CONSTRAINT amend_complete CHECK ((kind = 'amend') = (replaces IS NOT NULL AND basis IS NOT NULL)),
  CONSTRAINT undo_complete CHECK ((kind = 'undo') = (undoes IS NOT NULL)),
  CONSTRAINT reason_given CHECK (kind NOT IN ('amend', 'skip', 'override') OR reason IS NOT NULL)
);
-- two people amending the same state of one reading: the second is refused
CREATE UNIQUE INDEX event_amend_once ON event (replaces, basis) WHERE kind = 'amend';
CREATE UNIQUE INDEX event_undo_once ON event (undoes) WHERE kind = 'undo';

CREATE FUNCTION keep_as_written() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'what was written stays: % is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
CREATE TRIGGER event_append_only BEFORE UPDATE OR DELETE ON event FOR EACH ROW EXECUTE FUNCTION keep_as_written();
CREATE TRIGGER sheet_append_only BEFORE UPDATE OR DELETE ON sheet_value FOR EACH ROW EXECUTE FUNCTION keep_as_written();

CREATE FUNCTION tell_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  IF TG_TABLE_NAME = 'event' THEN
    PERFORM pg_notify('changes', json_build_object('job', NEW.job_id, 'seq', NEW.seq)::text);
  ELSE
    PERFORM pg_notify('changes', json_build_object('engine', NEW.engine_id)::text);
  END IF;
  RETURN NEW;
END $$;
CREATE TRIGGER event_told AFTER INSERT ON event FOR EACH ROW EXECUTE FUNCTION tell_change();
CREATE TRIGGER sheet_told AFTER INSERT ON sheet_value FOR EACH ROW EXECUTE FUNCTION tell_change();
CREATE TRIGGER job_told AFTER INSERT ON job FOR EACH ROW EXECUTE FUNCTION tell_change();

-- Derived: rebuilt by `npm run rebuild`, never edited.
CREATE TABLE job_line (
  job_id uuid PRIMARY KEY REFERENCES job (id),
  through_seq integer NOT NULL,
  through_sheet bigint NOT NULL,
  core_version text NOT NULL,
  next text NOT NULL,
  waits text NOT NULL,
  waits_text text NOT NULL,
  rank integer NOT NULL,
  done integer NOT NULL,
  total integer NOT NULL
);

CREATE TABLE job_figure (
  job_id uuid NOT NULL REFERENCES job (id),
  place integer NOT NULL,
  key text NOT NULL,
  label text NOT NULL,
  value double precision NOT NULL,
  u double precision,
  kind text NOT NULL,
  verdict text CHECK (verdict IN ('in', 'out', 'unsure')),
  calc text NOT NULL,
  input jsonb NOT NULL,
  output jsonb,
  core_version text NOT NULL,
  PRIMARY KEY (job_id, key)
);

-- Down Migration
DROP TABLE job_figure, job_line, event, job, gauge, sheet_value, engine, person;
DROP FUNCTION tell_change, keep_as_written;
