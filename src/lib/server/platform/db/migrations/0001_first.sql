-- Instants are timestamptz, dates of the calendar are date, shares are double precision within 0…1.

create table coach (
	id uuid primary key,
	email text not null check (email = lower(email)),
	name text not null check (length(name) between 1 and 80),
	zone text not null,
	password_hash text not null,
	created_at timestamptz not null,
	unique (email)
);

-- Only the SHA-256 of a token is kept. On rotation the token before stays good for a moment, so that requests
-- already under way are not thrown out.
create table coach_login (
	id uuid primary key,
	coach_id uuid not null references coach on delete cascade,
	token_hash text not null unique,
	previous_hash text,
	rotated_at timestamptz not null,
	created_at timestamptz not null,
	expires_at timestamptz not null
);
create index coach_login_previous on coach_login (previous_hash);
create index coach_login_coach on coach_login (coach_id);

create table challenge (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	goal text not null,
	starts_on date not null,
	weeks int not null check (weeks between 1 and 12),
	training_days int[] not null check (training_days <@ array[1, 2, 3, 4, 5, 6, 7] and cardinality(training_days) >= 1),
	budget_minutes int not null check (budget_minutes between 5 and 180),
	release_zone text,
	opens_at int not null check (opens_at between 0 and 1439),
	late_hours int not null check (late_hours between 0 and 168),
	late_worth double precision not null check (late_worth between 0 and 1),
	partial text not null check (partial in ('share', 'strict')),
	after_close text not null check (after_close in ('refuse', 'store')),
	late_joiners text not null check (late_joiners in ('group', 'own')),
	created_at timestamptz not null
);
create index challenge_coach on challenge (coach_id);

create table session (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	created_at timestamptz not null,
	unique (coach_id, name)
);

-- Never changed once written: those who did a version keep it.
create table session_version (
	id uuid primary key,
	session_id uuid not null references session,
	version int not null check (version >= 1),
	body jsonb not null,
	seconds double precision not null check (seconds >= 0),
	created_at timestamptz not null,
	unique (session_id, version)
);

create table plan_day (
	challenge_id uuid not null references challenge on delete cascade,
	day int not null check (day between 1 and 84),
	kind text not null check (kind in ('train', 'cardio', 'test', 'active-rest', 'rest')),
	version_id uuid references session_version,
	primary key (challenge_id, day),
	check (kind <> 'rest' or version_id is null)
);
create index plan_day_version on plan_day (version_id);

create table participant (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	email text not null check (email = lower(email)),
	zone text not null,
	level text not null check (level in ('beginner', 'some experience', 'trained')),
	equipment text[] not null,
	created_at timestamptz not null,
	unique (coach_id, email)
);

-- strip, credit_sum, checkins and last_seen say what the check-ins and excuses of the enrolment add up to; they
-- change in the transaction that changes those, and `rebuild` works them out anew.
create table enrolment (
	id uuid primary key,
	challenge_id uuid not null references challenge,
	participant_id uuid not null references participant,
	from_day int not null check (from_day >= 1),
	shift_days int not null,
	link_hash text unique,
	link_made_at timestamptz,
	strip jsonb not null default '{}',
	credit_sum double precision not null default 0,
	checkins int not null default 0,
	last_seen timestamptz,
	created_at timestamptz not null,
	unique (challenge_id, participant_id)
);

-- A device that has opened a personal link; gone when the link is revoked or made anew.
create table participant_login (
	token_hash text primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	created_at timestamptz not null,
	expires_at timestamptz not null
);
create index participant_login_enrolment on participant_login (enrolment_id);

create table excuse (
	enrolment_id uuid not null references enrolment on delete cascade,
	day int not null check (day >= 1),
	reason text not null check (length(reason) between 1 and 300),
	at timestamptz not null,
	primary key (enrolment_id, day)
);

-- The id is made by the participant's device; sending it twice changes nothing. A correction is a new row, the
-- one it takes the place of stays with the time at which it was replaced.
create table checkin (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	day int not null check (day >= 1),
	version_id uuid references session_version,
	done text not null check (done in ('all', 'part', 'none')),
	credit double precision not null check (credit between 0 and 1),
	standing text not null check (standing in ('on time', 'late', 'after close')),
	effort int check (effort between 0 and 10),
	energy int check (energy between 1 and 5),
	sleep_hours double precision check (sleep_hours between 0 and 24),
	hurts text check (length(hurts) between 1 and 300),
	note text check (length(note) between 1 and 1000),
	received_at timestamptz not null,
	replaced_at timestamptz
);
create unique index checkin_current on checkin (enrolment_id, day) where replaced_at is null;
create index checkin_received on checkin (enrolment_id, received_at);

create table set_log (
	checkin_id uuid not null references checkin on delete cascade,
	block int not null check (block >= 0),
	part int not null check (part >= 0),
	set int not null check (set >= 1),
	amount double precision not null check (amount >= 0),
	kg double precision check (kg > 0),
	primary key (checkin_id, block, part, set)
);

-- Of rate-limiter-flexible.
create table rate_limit (
	key varchar(255) primary key,
	points integer not null default 0,
	expire bigint
);

create table setting (
	key text primary key,
	value jsonb not null
);
