-- A report as it was issued: frozen whole. The seal is a hash over the hashes of its files.
CREATE TABLE issued (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  number INTEGER NOT NULL CHECK (number > 0),
  issued_at TEXT NOT NULL,
  headline TEXT NOT NULL,
  reason TEXT NOT NULL,
  seal TEXT NOT NULL,
  PRIMARY KEY (job_id, number)
) STRICT;

CREATE TABLE issued_files (
  job_id TEXT NOT NULL,
  number INTEGER NOT NULL,
  name TEXT NOT NULL,
  type TEXT NOT NULL,
  bytes BLOB NOT NULL,
  sha256 TEXT NOT NULL,
  PRIMARY KEY (job_id, number, name),
  FOREIGN KEY (job_id, number) REFERENCES issued (job_id, number)
) STRICT;

CREATE TRIGGER issued_are_never_edited BEFORE UPDATE ON issued
BEGIN SELECT RAISE (ABORT, 'an issued report is frozen: amend it with a new version'); END;
CREATE TRIGGER issued_are_never_deleted BEFORE DELETE ON issued
BEGIN SELECT RAISE (ABORT, 'an issued report is frozen: it stays readable'); END;
CREATE TRIGGER issued_files_are_never_edited BEFORE UPDATE ON issued_files
BEGIN SELECT RAISE (ABORT, 'an issued report is frozen: amend it with a new version'); END;
CREATE TRIGGER issued_files_are_never_deleted BEFORE DELETE ON issued_files
BEGIN SELECT RAISE (ABORT, 'an issued report is frozen: it stays readable'); END;

-- Who may read an issued report by a link. Only a hash of the link's secret is kept.
CREATE TABLE share_links (
  id TEXT PRIMARY KEY,
  job_id TEXT NOT NULL REFERENCES jobs (id),
  secret_sha256 TEXT NOT NULL UNIQUE,
  label TEXT NOT NULL,
  created_at TEXT NOT NULL,
  expires_at TEXT NOT NULL,
  revoked_at TEXT
) STRICT;
CREATE INDEX share_links_by_job ON share_links (job_id);

-- The simulated outbox: what a mail service would have taken.
CREATE TABLE outbox (
  id TEXT PRIMARY KEY,
  job_id TEXT REFERENCES jobs (id),
  recipient TEXT NOT NULL,
  subject TEXT NOT NULL,
  body TEXT NOT NULL,
  sent_at TEXT NOT NULL
) STRICT;
CREATE TABLE outbox_attachments (
  message_id TEXT NOT NULL REFERENCES outbox (id),
  position INTEGER NOT NULL,
  name TEXT NOT NULL,
  type TEXT NOT NULL,
  bytes BLOB NOT NULL,
  PRIMARY KEY (message_id, position)
) STRICT;
