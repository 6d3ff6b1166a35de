-- What the bench instruments read, as it was read; and labels by which leaders are kept together.

CREATE TABLE IF NOT EXISTS measurement (
  angler_id       CHAR(32)     NOT NULL,
  measurement_id  CHAR(32)     NOT NULL,
  of_id           VARCHAR(40)  NOT NULL COMMENT 'the spool, line or fly',
  version         INT          NOT NULL,
  body            LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  taken_at        DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, measurement_id),
  KEY measurement_in_order (angler_id, of_id, taken_at),
  CONSTRAINT measurement_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE leader ADD COLUMN IF NOT EXISTS labels VARCHAR(400) NOT NULL DEFAULT ''
  COMMENT 'each between bars: |salt|spring|';

ALTER TABLE leader ADD COLUMN IF NOT EXISTS sought TEXT NOT NULL DEFAULT ''
  COMMENT 'all words by which it is found, small';
