-- What people say of themselves before they begin. Health answers lie in tables of their own.

alter table participant
	add display_name text check (length(display_name) between 1 and 40),
	add units text not null default 'kg' check (units in ('kg', 'lb')),
	add minutes int check (minutes between 5 and 180),
	add weights text check (weights in ('never', 'some', 'regularly')),
	add goals text check (length(goals) between 1 and 300),
	-- When they last answered everything, and when they were last asked; null: never.
	add answered_at timestamptz,
	add asked_at timestamptz;

alter table challenge add waits_for_answers boolean not null default false;
alter table challenge alter waits_for_answers drop default;

-- Times at which nothing is released to somebody, worked out from what is below: [{from, until, reason}].
alter table enrolment add holds jsonb not null default '[]';

create table health (
	participant_id uuid primary key references participant on delete cascade,
	-- The newest answers; null: none yet.
	answers jsonb,
	-- What the coach added by hand, and what must not be asked of them in all.
	added text[] not null default '{}',
	limits text[] not null default '{}'
);
insert into health (participant_id, added, limits) select id, limits, limits from participant;
alter table participant drop column limits;

-- Every time that health questions were answered, with the reasons to ask somebody first.
create table screening (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	answers jsonb not null,
	reasons text[] not null,
	made_by text not null check (made_by in ('coach', 'participant', 'rule')),
	at timestamptz not null
);
create index screening_participant on screening (participant_id, at);

create table clearance (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	who text not null check (length(who) between 1 and 120),
	note text check (length(note) between 1 and 1000),
	covers text[] not null check (cardinality(covers) >= 1),
	from_at timestamptz not null,
	until_at timestamptz check (until_at > from_at),
	taken_back_at timestamptz
);
create index clearance_participant on clearance (participant_id, from_at);

-- Who looked at health answers, for the person to see.
create table health_look (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	who text not null,
	at timestamptz not null
);
create index health_look_participant on health_look (participant_id, at);

create table consent (
	participant_id uuid not null references participant on delete cascade,
	version int not null check (version >= 1),
	-- Whether they agreed themselves, or told the coach.
	given_by text not null check (given_by in ('coach', 'participant')),
	at timestamptz not null,
	primary key (participant_id, version)
);

-- Answers on their way: section by section, until all are there.
create table intake_draft (
	participant_id uuid primary key references participant on delete cascade,
	sections jsonb not null default '{}',
	changed_at timestamptz not null
);

-- What decided which session suited somebody, since when: a day that was done stays what it was.
create table suited (
	participant_id uuid not null references participant on delete cascade,
	since timestamptz not null,
	level text not null,
	kit jsonb not null,
	limits text[] not null,
	answered boolean not null,
	primary key (participant_id, since)
);
insert into suited (participant_id, since, level, kit, limits, answered)
	select p.id, p.created_at, p.level, p.kit, h.limits, false from participant p join health h on h.participant_id = p.id;

-- What was changed about somebody, in words, the newest last. Never what their health answers are.
create table person_event (
	id bigint generated always as identity primary key,
	participant_id uuid not null references participant on delete cascade,
	made_by text not null check (made_by in ('coach', 'participant', 'rule')),
	what text not null check (length(what) between 1 and 600),
	at timestamptz not null
);
create index person_event_participant on person_event (participant_id, at);

-- What does not fit on days ahead, worked out by a job; a row for each day that was looked at, with what it was looked at by.
create table fit_day (
	enrolment_id uuid not null references enrolment on delete cascade,
	day int not null check (day >= 1),
	-- Of the session, what suits the person, what was decided for them and the exercises there are.
	mark text not null,
	seconds double precision not null,
	-- Exercises for which nothing is safe and at hand: [{exercise, role, why}].
	unfit jsonb not null,
	nothing boolean not null,
	primary key (enrolment_id, day)
);
