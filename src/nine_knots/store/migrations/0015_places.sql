-- Waters that an angler fishes, each with its stretches and what was noted of them at levels.

CREATE TABLE IF NOT EXISTS place (
  angler_id   CHAR(32)     NOT NULL,
  place_id    CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  version     INT          NOT NULL,
  body        LONGTEXT     NOT NULL CHECK (JSON_VALID(body)),
  updated_at  DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, place_id),
  UNIQUE KEY place_by_title (angler_id, title),
  CONSTRAINT place_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
