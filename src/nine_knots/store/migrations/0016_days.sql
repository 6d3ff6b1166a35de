-- Days that are planned, the wallet of tied rigs, and what happened at the water.

CREATE TABLE IF NOT EXISTS plan (
  angler_id   CHAR(32)     NOT NULL,
  plan_id     CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  on_day      DATE         NOT NULL,
  version     INT          NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  worked      LONGTEXT     NULL COMMENT 'what it came to when it was worked out last',
  updated_at  DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, plan_id),
  KEY plan_by_day (angler_id, on_day),
  CONSTRAINT plan_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS day_pack (
  angler_id   CHAR(32)     NOT NULL,
  plan_id     CHAR(32)     NOT NULL,
  body        LONGTEXT     NULL COMMENT 'what goes to the phone, where it was packed here',
  brief       LONGTEXT     NOT NULL COMMENT 'what of it its log is read by',
  designs     LONGTEXT     NOT NULL COMMENT 'its rigs by their names in it',
  packed_at   DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, plan_id),
  CONSTRAINT pack_of_plan FOREIGN KEY (angler_id, plan_id)
    REFERENCES plan (angler_id, plan_id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS wallet (
  angler_id   CHAR(32)     NOT NULL,
  rig_id      CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  version     INT          NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  act_id      CHAR(32)     NULL COMMENT 'of the ledger, by which it was tied',
  put_at      DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, rig_id),
  KEY wallet_by_act (angler_id, act_id),
  CONSTRAINT wallet_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS happened (
  angler_id   CHAR(32)     NOT NULL,
  event_id    CHAR(32)     NOT NULL,
  plan_id     CHAR(32)     NOT NULL,
  kind        VARCHAR(40)  NOT NULL,
  at_ms       BIGINT       NOT NULL COMMENT 'since 1970, UTC',
  version     INT          NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  noted_at    DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, event_id),
  KEY happened_by_day (angler_id, plan_id, at_ms),
  KEY happened_in_order (angler_id, at_ms),
  CONSTRAINT happened_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS phone (
  angler_id   CHAR(32)     NOT NULL,
  phone_id    CHAR(32)     NOT NULL,
  name        VARCHAR(80)  NOT NULL,
  token_hash  CHAR(64)     NOT NULL COMMENT 'SHA-256 of what the phone was given',
  paired_at   DATETIME(6)  NOT NULL,
  seen_at     DATETIME(6)  NOT NULL,
  revoked_at  DATETIME(6)  NULL,
  PRIMARY KEY (angler_id, phone_id),
  UNIQUE KEY phone_by_token (token_hash),
  CONSTRAINT phone_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
