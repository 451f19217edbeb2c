-- Everything that grants access. It lives apart from the jobs, so that a restore of those brings no access back:
-- nothing here is taken back but by a later word. The jobs refer to it by id alone.

-- People of a firm. Without any, Chert answers this machine alone and asks for no sign-in.
CREATE TABLE security.accounts (
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
  -- The private calendar address: only a hash of its secret is kept.
  feed_sha256 TEXT UNIQUE,
  feed_made_at TEXT,
  feed_used_at TEXT,
  -- Whether what is due comes by mail in the morning, and the day on which it came last.
  reminded INTEGER NOT NULL DEFAULT 1 CHECK (reminded IN (0, 1)),
  reminded_on TEXT
) STRICT;

-- A browser in which somebody is signed in. Only a hash of the secret is kept.
CREATE TABLE security.sessions (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  secret_sha256 TEXT NOT NULL UNIQUE,
  device TEXT NOT NULL,
  -- The browser, over all of its sessions; NULL for sessions begun before devices were told apart.
  device_id TEXT,
  begun_at TEXT NOT NULL,
  seen_at TEXT NOT NULL,
  -- When a password or a passkey was shown last.
  confirmed_at TEXT NOT NULL,
  ended_at TEXT,
  -- How: by whoever was signed in, with all of the account's access, or as this device alone. Of the last two its
  -- device is told to take what it keeps off itself.
  ended_how TEXT CHECK (ended_how IN ('signed-out', 'access', 'device'))
) STRICT;
CREATE INDEX security.sessions_by_account ON sessions (account_id);

-- Browsers in which somebody has signed in before: guesses from elsewhere never lock them out.
CREATE TABLE security.known_devices (
  id TEXT NOT NULL,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  name TEXT NOT NULL,
  -- Ended by hand, as one that was lost: what it still sends waits to be looked at.
  ended_at TEXT,
  -- What it held that was not sent when it was last in contact, since when, and when it said so.
  held_count INTEGER NOT NULL DEFAULT 0,
  held_since TEXT,
  reported_at TEXT,
  PRIMARY KEY (id, account_id)
) STRICT, WITHOUT ROWID;

-- Jobs that a device got while they were somebody's there: what was logged on them is taken from it later, whatever
-- became of job, right or account since. So much, and for so long after it was last in contact.
CREATE TABLE security.handed_jobs (
  device_id TEXT NOT NULL,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  job_id TEXT NOT NULL,
  may_log INTEGER NOT NULL CHECK (may_log IN (0, 1)),
  may_agree INTEGER NOT NULL CHECK (may_agree IN (0, 1)),
  handed_at TEXT NOT NULL,
  taken_count INTEGER NOT NULL DEFAULT 0,
  taken_bytes INTEGER NOT NULL DEFAULT 0,
  PRIMARY KEY (device_id, account_id, job_id)
) STRICT, WITHOUT ROWID;

-- Links by which somebody sets a password: invited, or because it was forgotten.
CREATE TABLE security.invitations (
  secret_sha256 TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  created_at TEXT NOT NULL,
  expires_at TEXT NOT NULL,
  -- Used, or taken back.
  used_at TEXT
) STRICT;
CREATE INDEX security.invitations_by_account ON invitations (account_id);

CREATE TABLE security.passkeys (
  id TEXT PRIMARY KEY,
  account_id TEXT NOT NULL REFERENCES accounts (id),
  public_key BLOB NOT NULL,
  counter INTEGER NOT NULL,
  label TEXT NOT NULL,
  created_at TEXT NOT NULL,
  used_at TEXT,
  ended_at TEXT
) STRICT;
CREATE INDEX security.passkeys_by_account ON passkeys (account_id);

-- What a passkey is asked to sign, once each.
CREATE TABLE security.challenges (
  challenge TEXT PRIMARY KEY,
  account_id TEXT REFERENCES accounts (id),
  expires_at TEXT NOT NULL
) STRICT;

-- Who may read an issued report by a link. Only a hash of the link's secret is kept.
CREATE TABLE security.share_links (
  id TEXT PRIMARY KEY,
  job_id TEXT NOT NULL,
  secret_sha256 TEXT NOT NULL UNIQUE,
  label TEXT NOT NULL,
  -- Which of the report's papers it opens: the one it was made for, and no other.
  reader TEXT NOT NULL DEFAULT 'buyer',
  created_at TEXT NOT NULL,
  expires_at TEXT NOT NULL,
  revoked_at TEXT
) STRICT;
CREATE INDEX security.share_links_by_job ON share_links (job_id);

-- Links to set a password that wait for the mail service. The outbox shows the message without its link; a row goes
-- once its message is sent or given up.
CREATE TABLE security.hidden_links (
  message_id TEXT PRIMARY KEY,
  link TEXT NOT NULL
) STRICT;

-- What this installation alone knows: the token of scripts on this machine, the key that signs device cookies.
CREATE TABLE security.secrets (
  name TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;

-- Who came in, who was refused, whose access was changed, what was taken out. Kept for a year, and never edited.
CREATE TABLE security.access_log (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  at TEXT NOT NULL,
  what TEXT NOT NULL,
  -- Who did it, by account; NULL where nobody was signed in.
  account_id TEXT,
  device TEXT NOT NULL DEFAULT '',
  address TEXT NOT NULL DEFAULT '',
  detail TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE TRIGGER security.access_log_is_never_edited BEFORE UPDATE ON access_log
BEGIN SELECT RAISE (ABORT, 'the access log is append-only'); END;
CREATE TRIGGER security.access_log_is_kept_a_year BEFORE DELETE ON access_log
WHEN julianday((SELECT max(at) FROM access_log)) - julianday(OLD.at) < 366
BEGIN SELECT RAISE (ABORT, 'the access log is kept for a year'); END;
