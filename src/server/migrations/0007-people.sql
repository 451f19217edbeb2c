-- People of a firm. Without any, Chert answers this machine alone and asks for no sign-in.
CREATE TABLE accounts (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL,
  mail TEXT NOT NULL COLLATE NOCASE UNIQUE,
  role TEXT NOT NULL CHECK (role IN ('owner', 'office', 'inspector', 'reader')),
  -- As the hash says of itself how it was made; NULL until a password was set.
  password TEXT,
  created_at TEXT NOT NULL,
  -- A closed account opens nothing; its name stays on what was done under it.
  closed_at TEXT,
  -- Where a day begins and ends: a place in words, or latitude and longitude.
  home TEXT NOT NULL DEFAULT '',
  -- The rig and the words of one's own; the rest of what is set is the firm's.
  preferences TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(preferences)),
  feed_sha256 TEXT UNIQUE,
  -- Whether what is due comes by mail in the morning, and the day on which it came last.
  reminded INTEGER NOT NULL DEFAULT 1 CHECK (reminded IN (0, 1)),
  reminded_on TEXT
) STRICT;

-- A device on which somebody is signed in. Only a hash of the secret is kept.
CREATE TABLE sessions (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  secret_sha256 TEXT NOT NULL UNIQUE,
  device TEXT NOT NULL,
  begun_at TEXT NOT NULL,
  seen_at TEXT NOT NULL,
  ended_at TEXT
) STRICT;
CREATE INDEX sessions_by_account ON sessions (account_id);

-- Links by which somebody sets a password: invited, or because it was forgotten.
CREATE TABLE invitations (
  secret_sha256 TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  created_at TEXT NOT NULL,
  expires_at TEXT NOT NULL,
  used_at TEXT
) STRICT;

CREATE TABLE passkeys (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  public_key BLOB NOT NULL,
  counter INTEGER NOT NULL,
  label TEXT NOT NULL,
  created_at TEXT NOT NULL,
  used_at TEXT
) STRICT;
CREATE INDEX passkeys_by_account ON passkeys (account_id);

-- What a passkey is asked to sign, once each.
CREATE TABLE challenges (
  challenge TEXT PRIMARY KEY,
  account_id TEXT REFERENCES accounts (id),
  expires_at TEXT NOT NULL
) STRICT;

-- On which signed-in device it was done; NULL where Chert had no people.
ALTER TABLE entries ADD COLUMN session TEXT;
ALTER TABLE edits ADD COLUMN session TEXT;

-- What else was done to a job, for its history: booked, issued, sent, a still added.
CREATE TABLE deeds (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL REFERENCES jobs (id),
  what TEXT NOT NULL,
  detail TEXT NOT NULL,
  session TEXT,
  at TEXT NOT NULL
) STRICT;
CREATE INDEX deeds_by_job ON deeds (job_id, seq);
CREATE TRIGGER deeds_are_never_edited BEFORE UPDATE ON deeds
BEGIN SELECT RAISE (ABORT, 'the history of a job is append-only'); END;
CREATE TRIGGER deeds_are_never_deleted BEFORE DELETE ON deeds
BEGIN SELECT RAISE (ABORT, 'the history of a job is append-only'); END;

-- Whose job it is.
ALTER TABLE jobs ADD COLUMN assigned_to TEXT
  GENERATED ALWAYS AS (json_extract(job, '$.assignedTo')) VIRTUAL;
CREATE INDEX jobs_by_person ON jobs (assigned_to, scheduled_for) WHERE removed_at IS NULL;

-- The days that an issued report dates: working them out takes long. A job is in `dated` once they are; to issue it
-- again takes it out.
CREATE TABLE dated (job_id TEXT PRIMARY KEY REFERENCES jobs (id)) STRICT, WITHOUT ROWID;
CREATE TABLE due_days (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  key TEXT NOT NULL,
  due_on TEXT NOT NULL,
  title TEXT NOT NULL,
  PRIMARY KEY (job_id, key)
) STRICT, WITHOUT ROWID;
CREATE INDEX due_days_by_day ON due_days (due_on);
CREATE TRIGGER issued_is_dated_anew AFTER INSERT ON issued
BEGIN
  DELETE FROM dated WHERE job_id = NEW.job_id;
  DELETE FROM due_days WHERE job_id = NEW.job_id;
END;
CREATE INDEX jobs_by_inspector ON jobs (json_extract(job, '$.inspector')) WHERE removed_at IS NULL;

-- What somebody says is done of what was due.
CREATE TABLE settled (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  key TEXT NOT NULL,
  session TEXT,
  at TEXT NOT NULL,
  PRIMARY KEY (job_id, key)
) STRICT, WITHOUT ROWID;

-- People outside the firm, kept once: buyers, agents, contractors.
CREATE TABLE contacts (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL,
  name TEXT NOT NULL,
  firm TEXT NOT NULL,
  phone TEXT NOT NULL,
  mail TEXT NOT NULL,
  note TEXT NOT NULL
) STRICT;

-- Set when a voice note or a recording was removed after the firm's time; what it was stays on record.
ALTER TABLE media ADD COLUMN removed_at TEXT;
