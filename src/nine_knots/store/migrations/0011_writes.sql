-- How often an angler's things were written: what was read of them before is good till it moves.

ALTER TABLE angler ADD COLUMN IF NOT EXISTS writes BIGINT UNSIGNED NOT NULL DEFAULT 0
  COMMENT 'transactions that wrote something of this angler''s';
