-- What was agreed about a job, the house, and the parts of the file that have no table of their own.
-- Facts are kept as the JSON that came in, so unknown keys survive; columns to search by are computed.
CREATE TABLE jobs (
  id TEXT PRIMARY KEY,
  job TEXT NOT NULL CHECK (json_valid(job)),
  property TEXT NOT NULL CHECK (json_valid(property)),
  rest TEXT NOT NULL CHECK (json_valid(rest)),
  booked_at TEXT NOT NULL,
  title TEXT GENERATED ALWAYS AS (json_extract(job, '$.title')) VIRTUAL,
  client TEXT GENERATED ALWAYS AS (json_extract(job, '$.client')) VIRTUAL,
  scheduled_for TEXT GENERATED ALWAYS AS (json_extract(job, '$.scheduledFor')) VIRTUAL,
  period_ends_on TEXT GENERATED ALWAYS AS (json_extract(job, '$.inspectionPeriodEndsOn')) VIRTUAL
) STRICT;
CREATE INDEX jobs_by_schedule ON jobs (scheduled_for);

CREATE TABLE access_points (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  position INTEGER NOT NULL,
  id TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  PRIMARY KEY (job_id, id)
) STRICT;

-- A run's set-up; its log is in `entries`.
CREATE TABLE runs (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  position INTEGER NOT NULL,
  id TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  PRIMARY KEY (job_id, id)
) STRICT;

-- The field log. `seq` is the order of arrival. The same id sent twice is stored once.
CREATE TABLE entries (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL,
  run_id TEXT NOT NULL,
  id TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  received_at TEXT NOT NULL,
  UNIQUE (job_id, run_id, id),
  FOREIGN KEY (job_id, run_id) REFERENCES runs (job_id, id)
) STRICT;

CREATE TRIGGER entries_are_never_edited BEFORE UPDATE ON entries
BEGIN SELECT RAISE (ABORT, 'entries are append-only: log a correction instead'); END;
CREATE TRIGGER entries_are_never_deleted BEFORE DELETE ON entries
BEGIN SELECT RAISE (ABORT, 'entries are append-only: log a retraction instead'); END;
