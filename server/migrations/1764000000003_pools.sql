-- Up Migration

-- What a teacher does with the values of a class taken together: who may see them, and with which other class.
create table pools (
  assignment_id uuid not null references assignments on delete cascade,
  place integer not null,
  shown boolean not null default false,
  named boolean not null default false,
  with_assignment uuid references assignments on delete set null,
  primary key (assignment_id, place)
);

-- Values that a teacher leaves out, with the reason.
create table pool_left_out (
  assignment_id uuid not null references assignments on delete cascade,
  run_id uuid not null references runs on delete cascade,
  key text not null,
  reason text not null,
  primary key (assignment_id, run_id, key)
);

-- Down Migration
drop table pool_left_out;
drop table pools;
