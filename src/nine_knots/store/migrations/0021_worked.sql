-- How long workers were busy for an account within the hour, by whichever process of the service.

CREATE TABLE IF NOT EXISTS worked (
  account_id  CHAR(32)    NOT NULL PRIMARY KEY,
  seconds     DOUBLE      NOT NULL,
  ends_at     DATETIME(6) NOT NULL COMMENT 'when its hour is over',
  CONSTRAINT worked_for_account FOREIGN KEY (account_id) REFERENCES account (account_id)
) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4 COLLATE = utf8mb4_unicode_ci;
