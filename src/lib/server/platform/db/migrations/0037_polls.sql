-- A question to everybody of a challenge, a team or a level, with one answer of several.
create table poll (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	coach_id uuid references coach on delete set null,
	question text not null,
	choices text[] not null,
	audience jsonb not null,
	-- Whether whoever has answered sees what the others said, in numbers.
	shown boolean not null,
	at timestamptz not null,
	closes_at timestamptz not null
);
create index poll_challenge on poll (challenge_id, at);
create table poll_answer (
	poll_id uuid not null references poll on delete cascade,
	enrolment_id uuid not null references enrolment on delete cascade,
	-- From 0.
	choice int not null,
	at timestamptz not null,
	primary key (poll_id, enrolment_id)
);
create index poll_answer_enrolment on poll_answer (enrolment_id);

-- Polls are part of what everybody is shown alike; answers are not.
create trigger revision_new after insert on poll referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_changed after update on poll referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_gone after delete on poll referencing old table as changed
	for each statement execute function raise_revision_of_challenge();

-- What somebody would like of the plan.
create table request (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	wants text not null,
	-- A part of the body; null: none.
	area text,
	said text,
	at timestamptz not null,
	answered_at timestamptz,
	answered_by uuid references coach on delete set null,
	answer text
);
create index request_enrolment on request (enrolment_id, at);
