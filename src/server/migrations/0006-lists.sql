-- What lists read, in their order, so that neither the jobs of ten years nor a search through them read every record.
CREATE INDEX jobs_listed ON jobs (scheduled_for DESC, id, title, client, period_ends_on)
  WHERE removed_at IS NULL;
DROP INDEX jobs_by_schedule;
-- The day until which a job is at work: that of its inspection period, else its own.
CREATE INDEX jobs_at_work ON jobs (
  coalesce(period_ends_on, substr(scheduled_for, 1, 10)), scheduled_for, id
) WHERE removed_at IS NULL;
CREATE INDEX jobs_by_address ON jobs (lower(trim(json_extract(property, '$.address'))));
