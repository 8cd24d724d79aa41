-- The plan of a challenge: a length in days, tests and effort on its days, how it is made harder, for whom.

alter table challenge add column days int;
update challenge set days = weeks * 7;
alter table challenge alter column days set not null;
alter table challenge add check (days between 1 and 84);
alter table challenge drop column weeks;

-- rules, deload, tests, audience; what is left out is as usual.
alter table challenge add column plan jsonb not null default '{}';
-- Counts up with every change of the plan, so that two windows do not write over each other.
alter table challenge add column plan_revision int not null default 1;

-- What the rules of a plan make of a version for a week: no version of its own, sent and logged like one.
alter table session_version alter column version drop not null;
alter table session_version add column made_from uuid references session_version;
-- The earliest date on which one of those is sent; before it nobody can have seen it, and it may go again.
alter table session_version add column sent_from date;
alter table session_version add check ((version is null) = (made_from is not null));
create index session_version_made_from on session_version (made_from);

-- base_id is what was laid on the day, version_id what the rules make of it and what is sent.
alter table plan_day add column base_id uuid references session_version;
update plan_day set base_id = version_id;
alter table plan_day add check ((base_id is null) = (version_id is null));
create index plan_day_base on plan_day (base_id);
alter table plan_day add column effort double precision check (effort between 0 and 10);
alter table plan_day add column tests text[] not null default '{}';
-- Why nobody does this day: a storm, a holiday.
alter table plan_day add column held text check (length(held) between 1 and 300);
