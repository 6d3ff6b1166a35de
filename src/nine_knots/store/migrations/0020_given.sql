-- What anglers give to each other to read or to copy, and the groups they give to.

CREATE TABLE IF NOT EXISTS club (
  angler_id   CHAR(32)     NOT NULL COMMENT 'who keeps it',
  club_id     CHAR(32)     NOT NULL,
  title       VARCHAR(80)  NOT NULL,
  code_hash   CHAR(64)     NULL COMMENT 'by which one joins, while it is good',
  code_ends   DATETIME(6)  NULL,
  made_at     DATETIME(6)  NOT NULL,
  PRIMARY KEY (club_id),
  KEY club_by_keeper (angler_id),
  UNIQUE KEY club_by_code (code_hash),
  CONSTRAINT club_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS club_member (
  angler_id   CHAR(32)     NOT NULL,
  club_id     CHAR(32)     NOT NULL,
  joined_at   DATETIME(6)  NOT NULL,
  PRIMARY KEY (club_id, angler_id),
  KEY member_by_angler (angler_id),
  CONSTRAINT member_of_club FOREIGN KEY (club_id) REFERENCES club (club_id) ON DELETE CASCADE,
  CONSTRAINT member_is_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS given (
  angler_id   CHAR(32)     NOT NULL COMMENT 'who gives',
  given_id    CHAR(32)     NOT NULL,
  kind        VARCHAR(12)  NOT NULL,
  thing_id    CHAR(32)     NOT NULL,
  to_angler   CHAR(32)     NULL,
  to_club     CHAR(32)     NULL,
  may_copy    BOOLEAN      NOT NULL,
  places      BOOLEAN      NOT NULL COMMENT 'with what tells where it is fished',
  given_at    DATETIME(6)  NOT NULL,
  PRIMARY KEY (given_id),
  KEY given_by_giver (angler_id, kind, thing_id),
  KEY given_to_angler (to_angler),
  KEY given_to_club (to_club),
  CONSTRAINT given_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id),
  CONSTRAINT given_is_to_angler FOREIGN KEY (to_angler) REFERENCES angler (angler_id) ON DELETE CASCADE,
  CONSTRAINT given_is_to_club FOREIGN KEY (to_club) REFERENCES club (club_id) ON DELETE CASCADE
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
