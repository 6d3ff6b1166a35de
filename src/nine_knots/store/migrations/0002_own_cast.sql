-- Landings that an angler saw, and what they say of the angler's cast.

CREATE TABLE IF NOT EXISTS landing (
  angler_id   CHAR(32)     NOT NULL,
  landing_id  CHAR(32)     NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  at_usual    DOUBLE       NOT NULL COMMENT 'ln of arrival in m/s at the usual launch speed',
  slope       DOUBLE       NOT NULL COMMENT 'of ln arrival with ln launch speed',
  seen_at     DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, landing_id),
  CONSTRAINT landing_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS own_cast (
  angler_id   CHAR(32)     NOT NULL PRIMARY KEY,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  CONSTRAINT own_cast_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
