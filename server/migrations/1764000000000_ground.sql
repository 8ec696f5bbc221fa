-- Up Migration

create table teachers (
  id uuid primary key default gen_random_uuid(),
  email text not null unique check (email = lower(email)),
  name text not null,
  password_hash text not null,
  created_at timestamptz not null default now()
);

create table classes (
  id uuid primary key default gen_random_uuid(),
  teacher_id uuid not null references teachers on delete cascade,
  name text not null,
  created_at timestamptz not null default now()
);
create index on classes (teacher_id);

-- Codes are never reused, so that an old one can be answered with a sentence.
create table class_codes (
  code text primary key,
  class_id uuid not null references classes on delete cascade,
  created_at timestamptz not null default now(),
  expires_at timestamptz
);
create index on class_codes (class_id);

create table students (
  id uuid primary key default gen_random_uuid(),
  class_id uuid not null references classes on delete cascade,
  name text not null,
  name_key text not null,
  words_hash text not null,
  created_at timestamptz not null default now(),
  unique (class_id, name_key)
);

create table sessions (
  token_hash bytea primary key,
  teacher_id uuid references teachers on delete cascade,
  student_id uuid references students on delete cascade,
  expires_at timestamptz not null,
  check (num_nonnulls(teacher_id, student_id) = 1)
);

create table assignments (
  id uuid primary key default gen_random_uuid(),
  class_id uuid not null references classes on delete cascade,
  practical text not null,
  setup jsonb not null,
  rules jsonb not null,
  seed text not null,
  samples_drawn integer not null default 0,
  opens_at timestamptz not null,
  closes_at timestamptz,
  created_at timestamptz not null default now()
);
create index on assignments (class_id);

-- A run belongs to a student and an assignment, or to a teacher who tries a practical.
create table runs (
  id uuid primary key default gen_random_uuid(),
  assignment_id uuid references assignments on delete cascade,
  student_id uuid references students on delete cascade,
  teacher_id uuid references teachers on delete cascade,
  practical text not null,
  setup jsonb not null,
  rules jsonb not null,
  seed text not null,
  sample jsonb not null,
  sample_number text not null,
  draft jsonb not null default '{}',
  started_at timestamptz not null default now(),
  closed_at timestamptz,
  unique (assignment_id, student_id),
  unique (assignment_id, sample_number),
  check (num_nonnulls(student_id, teacher_id) = 1),
  check ((assignment_id is null) = (student_id is null))
);
create index on runs (student_id);
create index on runs (teacher_id);

-- Append-only. A refused act keeps its number and the sentence that refused it.
create table acts (
  run_id uuid not null references runs on delete cascade,
  number integer not null,
  act_id uuid not null,
  at_s double precision not null,
  act jsonb not null,
  refusal text,
  note text,
  created_at timestamptz not null default now(),
  primary key (run_id, number)
);

create table hand_ins (
  run_id uuid not null references runs on delete cascade,
  number integer not null,
  answers jsonb not null,
  checked jsonb not null,
  readings jsonb not null,
  created_at timestamptz not null default now(),
  primary key (run_id, number)
);

-- Which pieces of the demo have been loaded, so that an interrupted start goes on where it was.
create table demo_pieces (
  piece text primary key,
  loaded_at timestamptz not null default now()
);

-- Down Migration

drop table demo_pieces, hand_ins, acts, runs, assignments, sessions, students, class_codes, classes, teachers;
