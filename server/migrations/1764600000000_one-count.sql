-- Up Migration
-- Who joins is counted beside who signs in.
drop table if exists rate_limits;

-- Down Migration
