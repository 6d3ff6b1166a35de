-- Photos taken at the water, each under the name that an event tells.
CREATE TABLE IF NOT EXISTS photo (
  angler_id   CHAR(32)     NOT NULL,
  name        VARCHAR(120) COLLATE utf8mb4_bin NOT NULL,
  plan_id     CHAR(32)     NOT NULL,
  image       MEDIUMBLOB   NOT NULL COMMENT 'JPEG, without what a camera notes beside it',
  noted_at    DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, name),
  KEY photo_by_day (angler_id, plan_id),
  CONSTRAINT photo_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
