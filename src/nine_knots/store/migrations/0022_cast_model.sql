-- What a landing tells goes with the cast model that threw its leader again; rows of an earlier
-- model are cast anew while the service runs.

ALTER TABLE landing ADD COLUMN IF NOT EXISTS cast_model INT NOT NULL DEFAULT 1
  COMMENT 'the cast model that usual is by';
