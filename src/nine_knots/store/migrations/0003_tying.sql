-- How tall the angler is (arm spans), and what pieces came out at: how much line their knots take.

ALTER TABLE angler ADD COLUMN IF NOT EXISTS height_m DOUBLE NULL;

CREATE TABLE IF NOT EXISTS tied_piece (
  angler_id   CHAR(32)     NOT NULL,
  tied_id     CHAR(32)     NOT NULL COMMENT 'one leader tied',
  piece       INT          NOT NULL,
  handiness   DOUBLE       NOT NULL COMMENT 'line its knots took, over a usual hand',
  tied_at     DATETIME(6)  NOT NULL,
  PRIMARY KEY (angler_id, tied_id, piece),
  KEY tied_piece_newest (angler_id, tied_at),
  CONSTRAINT tied_piece_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
