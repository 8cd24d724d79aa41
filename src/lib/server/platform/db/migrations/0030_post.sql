-- How a coach writes: the tone of drafts, quiet hours, the letter of the morning; what is not set is as usual.
alter table coach add column post jsonb not null default '{}';
-- The day, by the coach's clock, for which the letter of the morning has been written.
alter table coach add column digested_on date;

-- Whether somebody wants to be told by mail that their coach has written.
alter table participant add column mailed boolean not null default true;

create table message_template (
	id uuid primary key,
	coach_id uuid not null references coach on delete cascade,
	name text not null check (length(name) between 1 and 60),
	subject text not null check (length(subject) between 1 and 120),
	body text not null check (length(body) between 1 and 4000),
	unique (coach_id, name)
);

-- What a coach wrote to several at once, before it was filled in for each.
create table post (
	-- Made by the page that sends it: sent twice, it goes once.
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	-- null: somebody whose account is gone.
	coach_id uuid references coach on delete set null,
	subject text not null check (length(subject) between 1 and 120),
	body text not null check (length(body) between 1 and 4000),
	audience jsonb not null,
	at timestamptz not null,
	-- When it goes, by everybody's own clock; null: at once.
	on_date date,
	on_minutes int check (on_minutes between 0 and 1439),
	check ((on_date is null) = (on_minutes is null))
);
create index post_challenge on post (challenge_id, at desc);

-- One message on its way to one person: into the application when it is due, and by mail outside their quiet hours.
create table letter (
	-- Of the message in the application too, and of the mail: however often it is tried, it is the same one.
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	coach_id uuid references coach on delete set null,
	post_id uuid references post on delete cascade,
	subject text not null,
	body text not null check (length(body) between 1 and 6000),
	due_at timestamptz not null,
	-- planned: not in the application yet; waiting: the mail is still to go; not mailed: they read it first, or want no mail.
	state text not null check (state in ('planned', 'waiting', 'sent', 'failed', 'not mailed', 'cancelled')),
	-- When it is next looked at, while it is planned or waiting.
	next_at timestamptz not null,
	-- Until when a process has it in hand, by the clock of the database.
	leased_until timestamptz,
	tries int not null default 0,
	-- What the last try said.
	error text check (length(error) <= 300),
	done_at timestamptz
);
create index letter_next on letter (next_at) where state in ('planned', 'waiting');
create index letter_enrolment on letter (enrolment_id, due_at desc);
create index letter_post on letter (post_id);
