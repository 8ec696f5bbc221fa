-- Up Migration

-- Null asks for what the practical comes with.
alter table assignments add column report jsonb;

-- Append-only, as acts are: a notebook is the fold of its edits.
create table notebook_edits (
  run_id uuid not null references runs on delete cascade,
  number integer not null,
  edit_id uuid not null,
  edit jsonb not null,
  created_at timestamptz not null default now(),
  primary key (run_id, number),
  unique (run_id, edit_id)
);

-- A hand-in freezes what was asked and the whole notebook.
alter table hand_ins add column asks jsonb not null default '[]', add column notebook jsonb;
alter table runs drop column draft;

-- Down Migration

alter table runs add column draft jsonb not null default '{}';
alter table hand_ins drop column asks, drop column notebook;
drop table notebook_edits;
alter table assignments drop column report;
