-- One name for one thing, as the interface and the code have it.
alter table plan_day rename column held to cancelled;
alter table session_version rename column sent_from to prescribed_from;
alter table notice rename to announcement;
alter index notice_challenge rename to announcement_challenge;
update challenge set plan = jsonb_set(plan, array['rules'], replace((plan->'rules')::text, '"kind": "rung"', '"kind": "variation"')::jsonb)
	where plan ? 'rules';

-- When a day was cancelled for everyone, so that the group can be looked at as it stood before.
alter table plan_day add column cancelled_at timestamptz;
update plan_day set cancelled_at = now() where cancelled is not null;
alter table plan_day add check ((cancelled is null) = (cancelled_at is null));

-- Nobody read these: the strip says the same.
alter table enrolment drop column credit_sum;
alter table enrolment drop column checkins;

-- Days between which somebody does not take part; no end: until it is given one.
create table pause (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	from_day int not null check (from_day >= 1),
	to_day int check (to_day >= from_day),
	reason text not null check (length(reason) between 1 and 300),
	at timestamptz not null
);
create index pause_enrolment on pause (enrolment_id);

-- What is different for one person in the sessions of some days. One that is taken back stays, with when: what was
-- done under it was done so.
create table override (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	target jsonb not null,
	change jsonb not null,
	from_day int not null check (from_day >= 1),
	to_day int check (to_day >= from_day),
	why text not null check (length(why) between 1 and 300),
	made_by text not null check (made_by in ('coach', 'participant', 'rule')),
	made_at timestamptz not null,
	removed_at timestamptz
);
create index override_enrolment on override (enrolment_id);

-- What was asked for, where it was not what the version asks of everybody.
alter table checkin add column prescribed jsonb;

-- What somebody owns as data, and what of it was not understood; what they must not be asked for.
alter table participant add column kit jsonb not null default '[]';
alter table participant add column kit_unread text[] not null default '{}';
alter table participant add column limits text[] not null default '{}';

-- What calendars say of each day by the plan alone; what is a person's own stands with their enrolment. Both are numbered
-- when something changes, so that reading a calendar writes nothing.
alter table challenge add column group_calendar jsonb not null default '{}';
