-- Knots tied against the clock.

CREATE TABLE IF NOT EXISTS attempt (
  angler_id   CHAR(32)     NOT NULL,
  attempt_id  CHAR(32)     NOT NULL,
  knot        VARCHAR(20)  NOT NULL,
  seconds     DOUBLE       NOT NULL,
  rated       ENUM('slipped', 'ugly', 'good', 'clean') NOT NULL,
  tied_at     DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, attempt_id),
  KEY attempt_by_knot (angler_id, knot, tied_at),
  CONSTRAINT attempt_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
