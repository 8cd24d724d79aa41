-- A pause that a person took by themselves, which they may end; a coach ends all of them.
alter table pause add own boolean not null default false;

-- A result that a coach recorded for a person, as she was told.
alter table checkin add entered_by uuid references coach (id) on delete set null;

-- Devices that are told of a new session or a message. Endpoint and keys are those of the Push API (RFC 8030, 8291).
create table push_subscription (
	endpoint text primary key check (length(endpoint) <= 1000),
	enrolment_id uuid not null references enrolment (id) on delete cascade,
	p256dh text not null check (length(p256dh) <= 200),
	auth text not null check (length(auth) <= 100),
	made_at timestamptz not null
);
create index push_subscription_enrolment on push_subscription (enrolment_id);

-- The last day of a person of which a device was told.
alter table enrolment add pushed_day int;

-- Links that were mailed to a person who had lost theirs: each opens one device, for a day, and ends nothing else.
create table way_back (
	token_hash text primary key,
	enrolment_id uuid not null references enrolment (id) on delete cascade,
	expires_at timestamptz not null
);
create index way_back_enrolment on way_back (enrolment_id);

-- People without an email address are given their link by hand; addresses that there are stay unique.
alter table participant drop constraint participant_coach_id_email_key;
create unique index participant_coach_email on participant (coach_id, email) where email <> '';

-- A private note that was made of a list and mentions health: the coach reads it before day one.
alter table private_note add health boolean not null default false;
