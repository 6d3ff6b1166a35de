-- Every body carries the version that it was written in; all that are there are of the first.

ALTER TABLE stock ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1 COMMENT 'of the body';

ALTER TABLE tackle ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1 COMMENT 'of the body';

ALTER TABLE revision ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1 COMMENT 'of the body';

ALTER TABLE landing ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1 COMMENT 'of the body';

ALTER TABLE own_cast ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1 COMMENT 'of the body';

ALTER TABLE pull_test ADD COLUMN IF NOT EXISTS version INT NOT NULL DEFAULT 1 COMMENT 'of the body';
