-- Saves that were intended, so that one tried again is not done twice; pull tests summed up by the
-- database; and which angler is in front, so that data read back lie beside what was there.

CREATE TABLE IF NOT EXISTS intended_save (
  angler_id   CHAR(32)     NOT NULL,
  intent      CHAR(64)     NOT NULL COMMENT 'SHA-256 of the key that the client gave',
  asked       CHAR(64)     NOT NULL COMMENT 'SHA-256 of what was asked with it',
  made        VARCHAR(80)  NOT NULL COMMENT 'what came of it, by name',
  saved_at    DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, intent),
  KEY intended_save_age (saved_at),
  CONSTRAINT intended_save_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE angler ADD COLUMN IF NOT EXISTS in_front_since DATETIME(6) NULL;

UPDATE angler SET in_front_since = created_at WHERE in_front_since IS NULL;

ALTER TABLE pull_test
  ADD COLUMN IF NOT EXISTS knot VARCHAR(40) AS (JSON_VALUE(body, '$.knot')) PERSISTENT,
  ADD COLUMN IF NOT EXISTS family VARCHAR(40) AS (JSON_VALUE(body, '$.family')) PERSISTENT,
  ADD COLUMN IF NOT EXISTS ln_kept DOUBLE
    AS (LN(JSON_VALUE(body, '$.broke_n') / JSON_VALUE(body, '$.strand_n'))) PERSISTENT
    COMMENT 'ln of the share of the line that held',
  ADD COLUMN IF NOT EXISTS counted TINYINT
    AS (JSON_VALUE(body, '$.set_aside') NOT IN ('1', 'true')) PERSISTENT;

CREATE INDEX IF NOT EXISTS pull_test_summed
  ON pull_test (angler_id, knot, family, counted, ln_kept);

CREATE INDEX IF NOT EXISTS pull_test_in_order ON pull_test (angler_id, tested_at, test_id);

CREATE INDEX IF NOT EXISTS leader_in_order ON leader (angler_id, updated_at, leader_id);
