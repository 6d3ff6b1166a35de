-- What an angler always ties, as JSON; empty where the usual knots are tied.

ALTER TABLE angler ADD COLUMN IF NOT EXISTS own_ties TEXT NULL COMMENT 'knots by place, JSON';
