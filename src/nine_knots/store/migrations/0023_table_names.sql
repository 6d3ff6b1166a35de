-- Tables by their standard names.

RENAME TABLE IF EXISTS given TO gift;
RENAME TABLE IF EXISTS happened TO fishing_event;
RENAME TABLE IF EXISTS intended_save TO idempotency_key;
RENAME TABLE IF EXISTS tried TO rate_limit;
RENAME TABLE IF EXISTS worked TO compute_time;
RENAME TABLE IF EXISTS login_note TO login_activity;
