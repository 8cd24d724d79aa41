-- Calendars that people and coaches subscribe to, and what a coach tells everybody.

-- Minutes after midnight at which somebody trains by their own clock; null: as soon as a day opens.
alter table participant add column trains_at int check (trains_at between 0 and 1439);

-- Of an address of a calendar only the SHA-256 of its secret is kept. calendar says of each day what its event was
-- last (its sequence, when it changed, a hash of it), so that a change raises the sequence.
alter table enrolment add column feed_hash text unique;
alter table enrolment add column calendar jsonb not null default '{}';
alter table challenge add column feed_hash text unique;
alter table challenge add column calendar jsonb not null default '{}';

create table notice (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	text text not null check (length(text) between 1 and 600),
	-- When it goes up; one that lies ahead waits for it.
	at timestamptz not null,
	-- Of this time alone, a storm say: the challenge used again has it no more.
	once boolean not null
);
create index notice_challenge on notice (challenge_id, at);
