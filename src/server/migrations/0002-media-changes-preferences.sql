-- Stills and voice notes. The bytes are files under the data folder; a row says that a file is whole.
CREATE TABLE media (
  job_id TEXT NOT NULL REFERENCES jobs (id),
  id TEXT NOT NULL,
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL CHECK (bytes > 0),
  sha256 TEXT NOT NULL,
  received_at TEXT NOT NULL,
  PRIMARY KEY (job_id, id)
) STRICT;

-- What a record said before it was changed: set-ups and facts may be mended, never without a trace.
CREATE TABLE superseded (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  job_id TEXT NOT NULL,
  what TEXT NOT NULL,
  id TEXT NOT NULL,
  body TEXT NOT NULL,
  changed_at TEXT NOT NULL DEFAULT (strftime('%Y-%m-%dT%H:%M:%fZ', 'now'))
) STRICT;
CREATE TRIGGER access_points_leave_a_trace BEFORE UPDATE OF body ON access_points
BEGIN INSERT INTO superseded (job_id, what, id, body) VALUES (OLD.job_id, 'access_points', OLD.id, OLD.body); END;
CREATE TRIGGER runs_leave_a_trace BEFORE UPDATE OF body ON runs
BEGIN INSERT INTO superseded (job_id, what, id, body) VALUES (OLD.job_id, 'runs', OLD.id, OLD.body); END;
CREATE TRIGGER jobs_leave_a_trace BEFORE UPDATE OF job, property, rest ON jobs
BEGIN
  INSERT INTO superseded (job_id, what, id, body)
  VALUES (OLD.id, 'jobs', OLD.id, json_object('job', json(OLD.job), 'property', json(OLD.property), 'rest', json(OLD.rest)));
END;

-- What the inspector sets once for every job: the rig, own words.
CREATE TABLE preferences (
  only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
