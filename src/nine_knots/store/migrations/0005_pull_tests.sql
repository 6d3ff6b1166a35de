-- Knots pulled to breaking. None is dropped: one that is doubted is set aside.

CREATE TABLE IF NOT EXISTS pull_test (
  angler_id   CHAR(32)     NOT NULL,
  test_id     CHAR(32)     NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  line        VARCHAR(80)  NOT NULL COMMENT 'the spool, as it was called',
  source      ENUM('typed', 'scale', 'file') NOT NULL,
  tested_at   DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, test_id),
  CONSTRAINT pull_test_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
