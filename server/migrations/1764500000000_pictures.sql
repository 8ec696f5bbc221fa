-- Up Migration
-- What was seen then of two practicals told the molar mass that is asked for: it is worked out again, without it.
update acts a set view = null from runs r
  where r.id = a.run_id and a.view is not null and r.practical in ('light-and-heavy', 'where-pressure-comes-from');
update notebook_edits e set view = null from runs r
  where r.id = e.run_id and e.view is not null and r.practical in ('light-and-heavy', 'where-pressure-comes-from');
update runs set kept = null
  where kept is not null and practical in ('light-and-heavy', 'where-pressure-comes-from');

-- What a logger wrote down since the last act, as it was seen.
alter table runs add column waited_logged jsonb;

-- Down Migration
alter table runs drop column waited_logged;
