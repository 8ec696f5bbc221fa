-- Up Migration

-- A run that a student practises on, before or beside the one that counts: it belongs to an assignment without being its run.
alter table runs add column practice_of uuid references assignments on delete cascade;
alter table runs drop constraint runs_check1;
alter table runs add constraint runs_of_whom check (
  (assignment_id is null and practice_of is null and student_id is null)
  or (student_id is not null and num_nonnulls(assignment_id, practice_of) = 1)
);
create index on runs (practice_of, student_id) where practice_of is not null;

-- Down Migration

delete from runs where practice_of is not null;
alter table runs drop constraint runs_of_whom;
alter table runs drop column practice_of;
alter table runs add constraint runs_check1 check ((assignment_id is null) = (student_id is null));
