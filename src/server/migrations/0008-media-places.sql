-- Where a content lies: '' in the data folder, else the address of a bucket.
ALTER TABLE media ADD COLUMN place TEXT NOT NULL DEFAULT '';
-- The same content is kept once, whoever names it.
CREATE INDEX media_by_content ON media (sha256);
