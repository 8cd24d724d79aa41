-- What a coach and somebody in a challenge write to each other.
create table message (
	-- Made by the page that sends it: sent twice, it is kept once.
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	by_coach boolean not null,
	-- Which coach wrote it; null: the participant did, or the account is gone.
	coach_id uuid references coach on delete set null check (by_coach or coach_id is null),
	body text not null check (length(body) between 1 and 4000),
	at timestamptz not null,
	-- When the other side saw it.
	read_at timestamptz
);
create index message_enrolment on message (enrolment_id, at desc);
