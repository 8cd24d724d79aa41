-- Those who help with a challenge: a coach does what its owner does, a viewer looks on. The owner is in challenge.coach_id.
create table helper (
	challenge_id uuid not null references challenge on delete cascade,
	coach_id uuid not null references coach on delete cascade,
	role text not null check (role in ('coach', 'viewer')),
	since timestamptz not null,
	primary key (challenge_id, coach_id)
);
create index helper_coach on helper (coach_id);

-- A link that makes somebody one of them, once.
create table invitation (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	made_by uuid not null references coach on delete cascade,
	role text not null check (role in ('coach', 'viewer')),
	for_whom text not null check (length(for_whom) between 1 and 80),
	token_hash text not null unique,
	made_at timestamptz not null,
	expires_at timestamptz not null
);
create index invitation_challenge on invitation (challenge_id);

-- Who did what in a challenge: the kind of work, and whom or what it was about.
create table deed (
	id bigint generated always as identity primary key,
	challenge_id uuid not null references challenge on delete cascade,
	coach_id uuid not null references coach on delete cascade,
	at timestamptz not null,
	work text not null,
	enrolment_id uuid references enrolment on delete set null,
	session_id uuid references session on delete set null
);
create index deed_challenge on deed (challenge_id, at desc);

-- Whoever was invited looks after no installation.
alter table coach add operator boolean not null default true;
