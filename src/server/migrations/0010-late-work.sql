-- Work that came in after its maker had lost the job, the right or the account: taken under their name, and told.
CREATE TABLE late_work (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES jobs (id),
  kind TEXT NOT NULL CHECK (kind IN ('entries', 'facts', 'media')),
  count INTEGER NOT NULL,
  -- Under whose session it was made, and after what it came in.
  session TEXT,
  person TEXT NOT NULL,
  why TEXT NOT NULL,
  at TEXT NOT NULL,
  -- When somebody said that they have seen it.
  seen_at TEXT
) STRICT;
CREATE INDEX late_work_by_job ON late_work (job_id, at);

-- What a device sent that was ended by hand: it waits for an owner, who takes it or leaves it.
CREATE TABLE held_work (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES jobs (id),
  -- The change's own id: sent twice, it waits once.
  change_id TEXT NOT NULL,
  device_id TEXT NOT NULL,
  account_id TEXT NOT NULL,
  session TEXT,
  -- An entry with its run, edits as they were sent, or a still by its content.
  body TEXT NOT NULL CHECK (json_valid(body)),
  at TEXT NOT NULL,
  decided_at TEXT,
  was_taken INTEGER CHECK (was_taken IN (0, 1)),
  UNIQUE (job_id, change_id)
) STRICT;
CREATE INDEX held_work_waiting ON held_work (device_id, account_id) WHERE decided_at IS NULL;

-- When a change was made, by its device's clock set right, never ahead of the server's: of two changes of one field the
-- one made later stands. `under_seq`: the edit that was made later and arrived first; this one does not stand.
ALTER TABLE edits ADD COLUMN made_at TEXT;
ALTER TABLE edits ADD COLUMN under_seq INTEGER REFERENCES edits (seq);
CREATE INDEX edits_under ON edits (under_seq) WHERE under_seq IS NOT NULL;

-- What a change said, as a hash: an id that is used again for something else is refused.
ALTER TABLE changes ADD COLUMN content TEXT;
