-- Work beyond the plan, as it was said: it counts nothing.
alter table checkin add column beyond jsonb not null default '[]';

-- A part of a day that came in too late to be added by itself: together with what it would be added to, and offered so.
alter table checkin add column adds_to uuid references checkin on delete set null;

-- A session of a day done once more, beside the plan: it changes no figures, and is compared with what was done before.
create table session_again (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	day int not null check (day between 1 and 84),
	version_id uuid not null references session_version,
	effort int check (effort between 0 and 10),
	hurts text,
	note text,
	-- As they got it, with what they did of it: as a check-in has them.
	prescribed jsonb not null,
	sets jsonb not null,
	run jsonb,
	done_at timestamptz not null,
	received_at timestamptz not null
);
create index session_again_enrolment on session_again (enrolment_id, done_at);
create index session_again_version on session_again (version_id);

-- Of a day that is done in parts all is kept that was written of each; what is sent at once is bounded where it comes in.
alter table checkin drop constraint checkin_hurts_check;
alter table checkin drop constraint checkin_note_check;
