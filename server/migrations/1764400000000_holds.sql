-- Up Migration

-- What moved a hand-in could not be worked out: so often, and when last. It is tried again, each time after longer.
alter table influences alter column result drop not null;
alter table influences add column failures integer not null default 0, add column failed_at timestamptz;

-- All that an act added to the notebook, not the last reading alone: readings, and lines of the log that came until then.
update acts set reading = jsonb_build_array(reading) where jsonb_typeof(reading) = 'object';
alter table acts rename column reading to readings;
alter table acts add column logged jsonb;

-- What a teacher calls an assignment, so that two that are alike are told apart.
alter table assignments add column name text;

-- Benches as they stood after some acts, so that a long run is not folded from its first act on. They are made anew from
-- the acts where they are missing, or are of another build.
create table bench_states (
  run_id uuid not null references runs (id) on delete cascade,
  number integer not null,
  build text not null,
  state bytea not null,
  primary key (run_id, number)
);

-- Down Migration

drop table bench_states;
alter table assignments drop column name;
alter table acts drop column logged;
alter table acts rename column readings to reading;
update acts set reading = reading->-1 where jsonb_typeof(reading) = 'array';
delete from influences where result is null;
alter table influences drop column failed_at, drop column failures;
alter table influences alter column result set not null;
