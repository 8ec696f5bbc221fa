-- Up Migration

-- An assignment gives each student one sample or several; each has its practical, its setup and its report.
create table assignment_samples (
  assignment_id uuid not null references assignments on delete cascade,
  place integer not null,
  practical text not null,
  setup jsonb not null,
  -- Null asks for what the practical comes with.
  report jsonb,
  seed text not null,
  drawn integer not null default 0,
  primary key (assignment_id, place)
);
insert into assignment_samples (assignment_id, place, practical, setup, report, seed, drawn)
  select id, 1, practical, setup, report, seed, samples_drawn from assignments;
alter table assignments drop column practical, drop column setup, drop column report, drop column seed,
  drop column samples_drawn;

alter table runs add column place integer not null default 1;
alter table runs drop constraint runs_assignment_id_student_id_key;
alter table runs add unique (assignment_id, student_id, place);

-- The tray holds one probe of several kinds now, and any meter is recorded with the same act.
update assignment_samples set setup = jsonb_set(setup, '{probe}', case when setup->>'probe' = 'true' then '"pH"' else '"none"' end::jsonb)
  where jsonb_typeof(setup->'probe') = 'boolean';
update runs set setup = jsonb_set(setup, '{probe}', case when setup->>'probe' = 'true' then '"pH"' else '"none"' end::jsonb)
  where jsonb_typeof(setup->'probe') = 'boolean';
update acts set act = jsonb_set(act, '{kind}', '"recordMeter"') where act->>'kind' = 'recordPh';

-- What moved the numbers of a hand-in: worked out once, away from the server's event loop.
create table influences (
  run_id uuid not null,
  hand_in integer not null,
  result jsonb not null,
  primary key (run_id, hand_in),
  foreign key (run_id, hand_in) references hand_ins (run_id, number) on delete cascade
);

-- Down Migration

drop table influences;
delete from runs where place > 1;
alter table runs drop constraint runs_assignment_id_student_id_place_key;
alter table runs drop column place;
alter table runs add unique (assignment_id, student_id);
alter table assignments add column practical text, add column setup jsonb, add column report jsonb,
  add column seed text, add column samples_drawn integer not null default 0;
update assignments a set practical = s.practical, setup = s.setup, report = s.report, seed = s.seed,
  samples_drawn = s.drawn from assignment_samples s where s.assignment_id = a.id and s.place = 1;
alter table assignments alter column practical set not null, alter column setup set not null,
  alter column seed set not null;
drop table assignment_samples;
