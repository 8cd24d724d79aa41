-- A pause that a person took by themselves, which they may end; a coach ends all of them.
alter table pause add own boolean not null default false;

-- A result that a coach recorded for a person, as she was told.
alter table checkin add entered_by uuid references coach (id) on delete set null;

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

-- A draft that a coach sent as it was proposed: it asks, and does not answer what the other side wrote.
alter table message add is_draft boolean not null default false;
