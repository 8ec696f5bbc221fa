-- Up Migration

-- What a newer release must not work out anew: what a reading said and what was seen when it was taken, what a snapshot
-- shows, the bench of each hand-in, and of a run when it was closed.
alter table acts add column reading jsonb, add column view jsonb;
alter table notebook_edits add column view jsonb;
alter table hand_ins add column last_act integer, add column bench jsonb;
alter table runs add column kept jsonb;

-- Down Migration

alter table acts drop column reading, drop column view;
alter table notebook_edits drop column view;
alter table hand_ins drop column last_act, drop column bench;
alter table runs drop column kept;
