-- Up Migration

-- How far a bench was watched after its last act: what only waits is no act. Under which model of its practical a run
-- was begun; 0 for those of before models were counted.
alter table runs
  add column waited_after integer,
  add column waited_s double precision,
  add column waited_at timestamptz,
  add column model integer not null default 0;

-- Down Migration

alter table runs drop column waited_after, drop column waited_s, drop column waited_at, drop column model;
