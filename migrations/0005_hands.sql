-- Up Migration
-- How much the hands of this workshop scatter with a gauge, where it has been measured.
ALTER TABLE gauge ADD COLUMN scatter double precision CHECK (scatter >= 0 AND scatter < 'Infinity');
ALTER TABLE gauge ADD COLUMN scatter_dof double precision CHECK (scatter_dof > 0 AND scatter_dof < 'Infinity');

-- Down Migration
ALTER TABLE gauge DROP COLUMN scatter_dof;
ALTER TABLE gauge DROP COLUMN scatter;
