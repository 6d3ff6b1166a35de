-- Which anglers are the demo's: own things are kept apart from theirs, and always said which.

ALTER TABLE angler ADD COLUMN IF NOT EXISTS demo BOOLEAN NOT NULL DEFAULT FALSE
  COMMENT 'made up, to look round with';

UPDATE angler SET demo = TRUE WHERE name = 'Runa of the Skarn valley';
