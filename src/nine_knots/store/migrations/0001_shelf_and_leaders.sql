-- Anglers, what they own, and their leaders with immutable revisions.
-- Statements are idempotent: a migration cut off half-way is run again from where it stopped.

CREATE TABLE IF NOT EXISTS angler (
  angler_id   CHAR(32)     NOT NULL PRIMARY KEY,
  name        VARCHAR(80)  NOT NULL,
  units       ENUM('imperial', 'metric') NOT NULL DEFAULT 'imperial',
  theme       ENUM('auto', 'light', 'dark') NOT NULL DEFAULT 'auto',
  created_at  DATETIME(6)  NOT NULL
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS stock (
  angler_id   CHAR(32)     NOT NULL,
  spool_id    VARCHAR(40)  NOT NULL,
  form        ENUM('spool', 'packet') NOT NULL,
  material    VARCHAR(20)  NOT NULL,
  diameter_m  DOUBLE       NOT NULL COMMENT 'of a packet: its butt',
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  updated_at  DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, spool_id),
  CONSTRAINT stock_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS tackle (
  angler_id   CHAR(32)     NOT NULL,
  kind        ENUM('rod', 'line', 'fly') NOT NULL,
  tackle_id   CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  place       INT          NOT NULL DEFAULT 0,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  PRIMARY KEY (angler_id, kind, tackle_id),
  CONSTRAINT tackle_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS leader (
  leader_id   CHAR(32)     NOT NULL PRIMARY KEY,
  angler_id   CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  school      VARCHAR(40)  NULL,
  length_m    DOUBLE       NOT NULL,
  tippet_m    DOUBLE       NOT NULL,
  newest      INT          NOT NULL,
  created_at  DATETIME(6)  NOT NULL,
  updated_at  DATETIME(6)  NOT NULL,
  removed_at  DATETIME(6)  NULL,
  KEY leader_by_angler (angler_id, removed_at, updated_at),
  CONSTRAINT leader_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS revision (
  leader_id   CHAR(32)     NOT NULL,
  number      INT          NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  saved_at    DATETIME(6)  NOT NULL,
  PRIMARY KEY (leader_id, number),
  CONSTRAINT revision_of_leader FOREIGN KEY (leader_id) REFERENCES leader (leader_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
