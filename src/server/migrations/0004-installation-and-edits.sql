-- Who this server is. `era` is new after each restore of a backup, so that devices know to offer again what
-- the restored state lacks. `latest_at` is the latest time seen: a clock set back opens nothing again.
CREATE TABLE installation (
  only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
  id TEXT NOT NULL,
  era TEXT NOT NULL,
  access_token TEXT NOT NULL,
  latest_at TEXT NOT NULL
) STRICT;

-- Counts up with everything that is stored about a job, so that a page can tell what it shows.
ALTER TABLE jobs ADD COLUMN rev INTEGER NOT NULL DEFAULT 1;
-- Set when a job was taken off the list. Nothing of it is deleted.
ALTER TABLE jobs ADD COLUMN removed_at TEXT;
-- The id that an imported file gave the job, where it could not stand in an address.
ALTER TABLE jobs ADD COLUMN file_ids TEXT CHECK (file_ids IS NULL OR json_valid(file_ids));

-- Every field of a job that was ever set: what it was, what it became, by which device, when. The value of
-- NULL is a field that was taken out. `over_seq`: the edit of another device, unseen by this one, that it
-- overwrote; both are told.
CREATE TABLE edits (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES jobs (id),
  change_id TEXT NOT NULL,
  rev INTEGER NOT NULL,
  path TEXT NOT NULL CHECK (json_valid(path)),
  was TEXT CHECK (was IS NULL OR json_valid(was)),
  value TEXT CHECK (value IS NULL OR json_valid(value)),
  device TEXT NOT NULL,
  said_at TEXT NOT NULL,
  at TEXT NOT NULL,
  over_seq INTEGER REFERENCES edits (seq)
) STRICT;
CREATE INDEX edits_by_rev ON edits (job_id, rev);
CREATE INDEX edits_by_change ON edits (job_id, change_id);
CREATE TRIGGER edits_are_never_edited BEFORE UPDATE ON edits
BEGIN SELECT RAISE (ABORT, 'the history of a job is append-only'); END;
CREATE TRIGGER edits_are_never_deleted BEFORE DELETE ON edits
BEGIN SELECT RAISE (ABORT, 'the history of a job is append-only'); END;

-- Which of the report's papers a link opens: the one it was made for, and no other.
ALTER TABLE share_links ADD COLUMN reader TEXT NOT NULL DEFAULT 'buyer';

-- What the history of facts was before it went field by field stays readable in `superseded`, which takes
-- down whole records still.

-- Changes that a device has sent, each once, so that one sent again after a lost answer is not laid twice.
CREATE TABLE changes (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  id TEXT NOT NULL,
  rev INTEGER NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
