-- Up Migration
-- Photographs of a job: kept as they were sent, and named by a line of the log.
CREATE TABLE photo (
  id uuid PRIMARY KEY,
  job_id uuid NOT NULL REFERENCES job (id),
  by_person text NOT NULL REFERENCES person (id),
  at timestamptz NOT NULL DEFAULT now(),
  kind text NOT NULL CHECK (kind IN ('image/jpeg', 'image/png')),
  bytes bytea NOT NULL CHECK (octet_length(bytes) BETWEEN 1 AND 2000000)
);
CREATE INDEX photo_job ON photo (job_id);
CREATE TRIGGER photo_append_only BEFORE UPDATE OR DELETE ON photo FOR EACH ROW EXECUTE FUNCTION keep_as_written();

ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo',
  'happened', 'lift', 'photo'
));

-- Down Migration
ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo',
  'happened', 'lift'
));
DROP TABLE photo;
