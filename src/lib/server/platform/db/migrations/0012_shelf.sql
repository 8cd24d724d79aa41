-- Sessions that participants may take when they like, and what they took. `counts` is what the coach said when it was
-- taken; `enrolment.extras` is what it adds up to, kept like the strip.
create table shelf_session (
	challenge_id uuid not null references challenge on delete cascade,
	session_id uuid not null references session,
	counts boolean not null,
	put_at timestamptz not null,
	primary key (challenge_id, session_id)
);

create table shelf_log (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	version_id uuid not null references session_version,
	counts boolean not null,
	credit double precision not null check (credit > 0 and credit <= 1),
	effort int check (effort between 0 and 10),
	hurts text,
	note text,
	done_at timestamptz not null
);
create index shelf_log_enrolment on shelf_log (enrolment_id, done_at);
create index shelf_log_version on shelf_log (version_id);

alter table enrolment add column extras jsonb not null default '[]';

-- What lies there everybody of a challenge is shown alike.
create trigger revision_new after insert on shelf_session referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_changed after update on shelf_session referencing new table as changed
	for each statement execute function raise_revision_of_challenge();
create trigger revision_gone after delete on shelf_session referencing old table as changed
	for each statement execute function raise_revision_of_challenge();
