-- What grants access lives in security.db: see migrations/security. Its rows were copied there before this ran.
DROP TABLE sessions;
DROP TABLE invitations;
DROP TABLE passkeys;
DROP TABLE challenges;
DROP TABLE share_links;
DROP TABLE accounts;
ALTER TABLE installation DROP COLUMN access_token;
