-- What came on and off the spools, and why: what is left is the sum of it. Nothing is ever taken
-- out of it; an act is undone by another. What is retired stays known to the leaders tied of it.

CREATE TABLE IF NOT EXISTS act (
  angler_id   CHAR(32)     NOT NULL,
  act_id      CHAR(32)     NOT NULL,
  why         ENUM('on the shelf', 'tied', 'renewed', 'lost', 'given', 'counted', 'merged', 'undone')
              NOT NULL,
  words       VARCHAR(160) NOT NULL COMMENT 'what of it the angler says, or the leaders tied',
  undoes      CHAR(32)     NULL,
  noted_at    DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, act_id),
  UNIQUE KEY act_undone_once (angler_id, undoes),
  KEY act_in_order (angler_id, noted_at, act_id),
  CONSTRAINT act_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS ledger (
  angler_id   CHAR(32)     NOT NULL,
  act_id      CHAR(32)     NOT NULL,
  spool_id    VARCHAR(40)  NOT NULL,
  title       VARCHAR(80)  NOT NULL COMMENT 'of the spool, as it was called',
  change_by   DOUBLE       NOT NULL COMMENT 'metres; of a packet, leaders',
  PRIMARY KEY (angler_id, act_id, spool_id),
  KEY ledger_by_spool (angler_id, spool_id),
  CONSTRAINT ledger_of_act FOREIGN KEY (angler_id, act_id) REFERENCES act (angler_id, act_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE stock ADD COLUMN IF NOT EXISTS retired_at DATETIME(6) NULL;

ALTER TABLE tackle ADD COLUMN IF NOT EXISTS retired_at DATETIME(6) NULL;

INSERT IGNORE INTO act (angler_id, act_id, why, words, noted_at)
SELECT angler_id, MD5(spool_id), 'on the shelf', '', updated_at FROM stock;

INSERT IGNORE INTO ledger (angler_id, act_id, spool_id, title, change_by)
SELECT angler_id, MD5(spool_id), spool_id,
  LEFT(COALESCE(JSON_VALUE(body, '$.title'), spool_id), 80),
  COALESCE(JSON_VALUE(body, '$.remaining_m'), JSON_VALUE(body, '$.count'), 0)
FROM stock;
