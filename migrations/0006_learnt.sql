-- Up Migration
-- How far the repeats in a job lie apart, by hand and gauge kind. Derived from the log like the figures of a job.
CREATE TABLE job_hand (
  job_id uuid NOT NULL REFERENCES job (id),
  person_id text NOT NULL REFERENCES person (id),
  kind text NOT NULL,
  -- degrees of freedom, the sum of squares behind them in the base unit of the kind, and how many readings those were
  dof integer NOT NULL CHECK (dof > 0),
  ss double precision NOT NULL CHECK (ss >= 0 AND ss < 'Infinity'),
  n integer NOT NULL CHECK (n > dof),
  PRIMARY KEY (job_id, person_id, kind)
);
CREATE INDEX job_hand_person ON job_hand (person_id, kind) INCLUDE (job_id, dof, ss, n);

-- Down Migration
DROP TABLE job_hand;
