-- Up Migration
-- What happened although a rule forbade it, and a drive lifted to be tried again, are lines of the log like the others.
ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo',
  'happened', 'lift'
));

-- Down Migration
ALTER TABLE event DROP CONSTRAINT event_kind_check;
ALTER TABLE event ADD CONSTRAINT event_kind_check CHECK (kind IN (
  'reading', 'amend', 'done', 'skip', 'reopen', 'choose', 'sign', 'fact', 'say', 'crank', 'take', 'target', 'override', 'remark', 'undo'
));
