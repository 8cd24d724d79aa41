-- Pain, or a sign to stop at, until a coach has dealt with it and looked after it.
create table incident (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	kind text not null check (kind in ('pain', 'stop sign')),
	-- Null: told outside a session.
	day int check (day between 1 and 84),
	said text not null check (length(said) between 1 and 2000),
	area text,
	feels text,
	-- As they are planned; each is left out for them until somebody decides.
	exercises text[] not null default '{}',
	at timestamptz not null,
	-- When the coaches were told by mail.
	told_at timestamptz,
	decided_at timestamptz,
	decided_by uuid references coach on delete set null,
	decision text check (decision in ('give back', 'replace', 'keep off', 'cleared')),
	note text check (length(note) between 1 and 1000),
	-- The day, by the coach's calendar, on which it is to be asked after, and when that was done.
	follow_up_on date,
	followed_up_at timestamptz,
	check ((decided_at is null) = (decision is null))
);
create index incident_enrolment on incident (enrolment_id, at desc);
create index incident_untold on incident (at) where told_at is null;
