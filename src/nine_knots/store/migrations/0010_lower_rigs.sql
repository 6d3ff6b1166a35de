-- Lower rigs: what hangs below a ring or swivel, kept by name to be swapped.

CREATE TABLE IF NOT EXISTS lower_rig (
  angler_id   CHAR(32)     NOT NULL,
  rig_id      CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  version     INT          NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  updated_at  DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, rig_id),
  UNIQUE KEY lower_rig_by_title (angler_id, title),
  CONSTRAINT lower_rig_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
