-- Accounts, where anglers who do not know each other share a service: how each comes in, by what,
-- and what was tried. At home there are none, and an angler belongs to nobody's.

CREATE TABLE IF NOT EXISTS account (
  account_id       CHAR(32)     NOT NULL PRIMARY KEY,
  name             VARCHAR(80)  NOT NULL COMMENT 'by which one logs in',
  password_sealed  VARCHAR(200) NULL     COMMENT 'Argon2id; none where only passkeys are used',
  is_operator      BOOLEAN      NOT NULL DEFAULT FALSE,
  shut_at          DATETIME(6)  NULL     COMMENT 'by an operator: nobody comes in by it',
  made_at          DATETIME(6)  NOT NULL,
  UNIQUE KEY account_by_name (name)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE angler
  ADD COLUMN IF NOT EXISTS account_id CHAR(32) NULL COMMENT 'none at home';
ALTER TABLE angler
  ADD KEY IF NOT EXISTS angler_by_account (account_id, in_front_since);

CREATE TABLE IF NOT EXISTS passkey (
  account_id     CHAR(32)        NOT NULL,
  passkey_id     CHAR(32)        NOT NULL,
  credential_id  VARBINARY(1023) NOT NULL,
  public_key     VARBINARY(1023) NOT NULL,
  sign_count     BIGINT          NOT NULL,
  title          VARCHAR(80)     NOT NULL,
  made_at        DATETIME(6)     NOT NULL,
  used_at        DATETIME(6)     NULL,
  PRIMARY KEY (account_id, passkey_id),
  UNIQUE KEY passkey_by_credential (credential_id(255)),
  CONSTRAINT passkey_of_account FOREIGN KEY (account_id) REFERENCES account (account_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS recovery_code (
  account_id  CHAR(32)    NOT NULL,
  code_hash   CHAR(64)    NOT NULL,
  used_at     DATETIME(6) NULL,
  PRIMARY KEY (account_id, code_hash),
  CONSTRAINT recovery_of_account FOREIGN KEY (account_id) REFERENCES account (account_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS login (
  account_id  CHAR(32)    NOT NULL,
  login_id    CHAR(32)    NOT NULL,
  token_hash  CHAR(64)    NOT NULL COMMENT 'SHA-256 of what the browser was given',
  device      VARCHAR(80) NOT NULL,
  made_at     DATETIME(6) NOT NULL,
  proved_at   DATETIME(6) NOT NULL COMMENT 'when it was last shown who it is',
  seen_at     DATETIME(6) NOT NULL,
  ends_at     DATETIME(6) NOT NULL,
  PRIMARY KEY (account_id, login_id),
  UNIQUE KEY login_by_token (token_hash),
  CONSTRAINT login_of_account FOREIGN KEY (account_id) REFERENCES account (account_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS login_note (
  note_id     BIGINT      NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id  CHAR(32)    NULL COMMENT 'none where no account was meant',
  what        VARCHAR(40) NOT NULL,
  device      VARCHAR(80) NOT NULL,
  place       VARCHAR(60) NOT NULL COMMENT 'the network it came from, never the whole address',
  at          DATETIME(6) NOT NULL,
  KEY note_by_account (account_id, at),
  KEY note_by_time (at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS invitation (
  invitation_id  CHAR(32)    NOT NULL PRIMARY KEY,
  account_id     CHAR(32)    NULL COMMENT 'who invites; none of the first',
  token_hash     CHAR(64)    NOT NULL,
  note           VARCHAR(80) NOT NULL,
  as_operator    BOOLEAN     NOT NULL,
  made_at        DATETIME(6) NOT NULL,
  ends_at        DATETIME(6) NOT NULL,
  taken_at       DATETIME(6) NULL,
  UNIQUE KEY invitation_by_token (token_hash),
  KEY invitation_by_account (account_id, made_at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS challenge (
  challenge_id  CHAR(32)       NOT NULL PRIMARY KEY,
  kind          VARCHAR(20)    NOT NULL,
  account_id    CHAR(32)       NULL,
  body          VARBINARY(128) NOT NULL,
  ends_at       DATETIME(6)    NOT NULL,
  KEY challenge_by_end (ends_at)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

CREATE TABLE IF NOT EXISTS tried (
  bucket    CHAR(64)    NOT NULL COMMENT 'SHA-256 of what is counted',
  ends_at   DATETIME(6) NOT NULL,
  count     INT         NOT NULL,
  PRIMARY KEY (bucket)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

-- Codes by which a phone is paired; a guest's is for one day only.
CREATE TABLE IF NOT EXISTS pairing_code (
  code_hash  CHAR(64)    NOT NULL PRIMARY KEY,
  angler_id  CHAR(32)    NOT NULL,
  plan_id    CHAR(32)    NULL COMMENT 'the only day a guest sees',
  ends_at    DATETIME(6) NOT NULL,
  CONSTRAINT pairing_of_angler FOREIGN KEY (angler_id) REFERENCES angler (angler_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;

ALTER TABLE phone
  ADD COLUMN IF NOT EXISTS plan_id CHAR(32)    NULL COMMENT 'of a guest: the only day it sees',
  ADD COLUMN IF NOT EXISTS ends_at DATETIME(6) NULL COMMENT 'of a guest: till when it comes in';
