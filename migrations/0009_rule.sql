-- Up Migration
-- A rule or tape laid along paper or rim is a gauge of its own.
ALTER TABLE gauge DROP CONSTRAINT gauge_kind_check;
ALTER TABLE gauge ADD CONSTRAINT gauge_kind_check CHECK (kind IN (
  'wheel', 'dial', 'strobe', 'blade', 'micrometer', 'depth', 'rule', 'torque', 'tacho', 'thermometer', 'pressure', 'eye'
));

-- Down Migration
ALTER TABLE gauge DROP CONSTRAINT gauge_kind_check;
ALTER TABLE gauge ADD CONSTRAINT gauge_kind_check CHECK (kind IN (
  'wheel', 'dial', 'strobe', 'blade', 'micrometer', 'depth', 'torque', 'tacho', 'thermometer', 'pressure', 'eye'
));
