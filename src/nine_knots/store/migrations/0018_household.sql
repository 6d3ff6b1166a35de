-- A short code by which an angler's things are kept from the others of a household.
ALTER TABLE angler
  ADD COLUMN IF NOT EXISTS code_sealed   VARCHAR(200) NULL COMMENT 'Argon2id of the code',
  ADD COLUMN IF NOT EXISTS wrong_codes   INT          NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS locked_until  DATETIME(6)  NULL COMMENT 'after too many wrong codes';
