-- A landing is known by the reserve of its stroke, the launch speed over the least that opens the
-- leader, no longer by the fly's arrival. What was kept is carried over: where the arrival at which
-- leaders pile up (2.5 m/s) was met, the reserve at which they do (.9) is.

ALTER TABLE landing ADD COLUMN IF NOT EXISTS usual DOUBLE NOT NULL DEFAULT 0
  COMMENT 'ln of the reserve of the stroke, the own speed aside';

ALTER TABLE landing MODIFY COLUMN at_usual DOUBLE NULL COMMENT 'no longer written';

ALTER TABLE landing MODIFY COLUMN slope DOUBLE NULL COMMENT 'no longer written';

UPDATE landing SET usual = GREATEST(-2, LEAST(2, (at_usual - LN(2.5)) / slope + LN(0.9)))
WHERE at_usual IS NOT NULL AND slope IS NOT NULL;
