-- How each message stands: kept here (no mail service), waiting, sent, bounced, or given up.
ALTER TABLE outbox ADD COLUMN state TEXT NOT NULL DEFAULT 'kept'
  CHECK (state IN ('kept', 'waiting', 'sent', 'bounced', 'failed'));
ALTER TABLE outbox ADD COLUMN tries INTEGER NOT NULL DEFAULT 0;
-- What the mail service said last.
ALTER TABLE outbox ADD COLUMN answer TEXT NOT NULL DEFAULT '';
ALTER TABLE outbox ADD COLUMN next_try_at TEXT;
CREATE INDEX outbox_waiting ON outbox (next_try_at) WHERE state = 'waiting';
