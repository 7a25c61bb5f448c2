-- Up Migration
-- Derived rows that know by themselves whether they are stale, and a floor that is read without working anything out.

-- Counts the entries of a data sheet under the engine's own lock, so that a later count always holds all entries before it.
ALTER TABLE engine ADD COLUMN sheet_version bigint NOT NULL DEFAULT 0;
UPDATE engine e SET sheet_version = coalesce((SELECT count(*) FROM sheet_value v WHERE v.engine_id = e.id), 0);
CREATE FUNCTION count_sheet_entry() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE engine SET sheet_version = sheet_version + 1 WHERE id = NEW.engine_id;
  RETURN NEW;
END $$;
CREATE TRIGGER sheet_counted BEFORE INSERT ON sheet_value FOR EACH ROW EXECUTE FUNCTION count_sheet_entry();

-- Whether the step that settles a figure was done, not only read; when a job was last written to.
ALTER TABLE job_figure ADD COLUMN proved boolean NOT NULL DEFAULT true;
ALTER TABLE job_line ADD COLUMN last_at timestamptz NOT NULL DEFAULT now();
UPDATE job_line SET core_version = '';
CREATE INDEX job_line_open ON job_line (rank, job_id) WHERE waits <> 'signed';
CREATE INDEX job_line_signed ON job_line (last_at) WHERE waits = 'signed';
CREATE INDEX job_figure_key ON job_figure (key, job_id);

CREATE FUNCTION tell_line() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_notify('changes', json_build_object('line', NEW.job_id)::text);
  RETURN NEW;
END $$;
CREATE TRIGGER line_told AFTER INSERT OR UPDATE ON job_line FOR EACH ROW EXECUTE FUNCTION tell_line();

-- What is true of the workshop as a whole, each said once.
CREATE TABLE workshop (
  single boolean PRIMARY KEY DEFAULT true CHECK (single),
  time_zone text NOT NULL CHECK (length(time_zone) BETWEEN 1 AND 60)
);

-- Down Migration
DROP TABLE workshop;
DROP TRIGGER line_told ON job_line;
DROP FUNCTION tell_line;
DROP INDEX job_figure_key, job_line_signed, job_line_open;
ALTER TABLE job_line DROP COLUMN last_at;
ALTER TABLE job_figure DROP COLUMN proved;
DROP TRIGGER sheet_counted ON sheet_value;
DROP FUNCTION count_sheet_entry;
ALTER TABLE engine DROP COLUMN sheet_version;
