-- Up Migration
-- How far the crank was turned before a reading, and whether something was turned, are lines of the log like the others.
ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo',
  'happened', 'lift', 'photo', 'went', 'turned'
));

-- A hand is learnt for each gauge and for what is read with it. What is here is made anew from the logs.
TRUNCATE job_hand;
ALTER TABLE job_hand DROP CONSTRAINT job_hand_pkey;
ALTER TABLE job_hand ADD COLUMN gauge_id text NOT NULL;
ALTER TABLE job_hand ADD COLUMN reads text NOT NULL;
ALTER TABLE job_hand ADD PRIMARY KEY (job_id, person_id, gauge_id, reads);
DROP INDEX job_hand_person;
CREATE INDEX job_hand_person ON job_hand (person_id, gauge_id, reads) INCLUDE (job_id, kind, dof, ss, n);
-- every job is behind, so that its hands are learnt again
TRUNCATE job_line CASCADE;

-- Down Migration
TRUNCATE job_hand;
DROP INDEX job_hand_person;
ALTER TABLE job_hand DROP CONSTRAINT job_hand_pkey;
ALTER TABLE job_hand DROP COLUMN gauge_id;
ALTER TABLE job_hand DROP COLUMN reads;
ALTER TABLE job_hand ADD PRIMARY KEY (job_id, person_id, kind);
CREATE INDEX job_hand_person ON job_hand (person_id, kind) INCLUDE (job_id, dof, ss, n);
TRUNCATE job_line CASCADE;
ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo',
  'happened', 'lift', 'photo'
));
