-- Up Migration

-- When a student was first told what gives the true value away; and whether they ended the run themselves.
alter table runs add column truth_told_at timestamptz, add column finished boolean not null default false;

-- A hand-in that is sent twice is one hand-in.
alter table hand_ins add column hand_in_id uuid;
alter table hand_ins add unique (run_id, hand_in_id);

-- A switch has become a choice of when.
update assignments set rules = jsonb_set(rules, '{tellInfluences}', case when rules->>'tellInfluences' = 'true' then '"when-closed"' else '"never"' end::jsonb)
  where jsonb_typeof(rules->'tellInfluences') = 'boolean';
update runs set rules = jsonb_set(rules, '{tellInfluences}', case when rules->>'tellInfluences' = 'true' then '"when-closed"' else '"never"' end::jsonb)
  where jsonb_typeof(rules->'tellInfluences') = 'boolean';

-- A closing before its time does not forget the time that was set.
alter table assignments add column closed_early_at timestamptz;

-- Dates are those of the class's own place; null for that of the teacher's browser when a date was last typed.
alter table classes add column time_zone text;

create index on sessions (expires_at);
create index on sessions (student_id);
create index on sessions (teacher_id);
create index on pool_left_out (run_id);
create index on pools (with_assignment);

-- Wrong passwords and return words, and how long whoever gave them has to wait.
create table tries (
  key text primary key,
  failures integer not null,
  last_at timestamptz not null,
  free_at timestamptz not null
);
create index on tries (last_at);

-- Browsers that have signed in to an account before.
create table known_devices (
  token_hash bytea not null,
  account text not null,
  expires_at timestamptz not null,
  primary key (token_hash, account)
);
create index on known_devices (expires_at);

-- Down Migration

drop table known_devices, tries;

drop index pools_with_assignment_idx, pool_left_out_run_id_idx, sessions_teacher_id_idx, sessions_student_id_idx,
  sessions_expires_at_idx;
alter table classes drop column time_zone;
alter table assignments drop column closed_early_at;
alter table hand_ins drop column hand_in_id;
alter table runs drop column truth_told_at, drop column finished;
