-- The schema of Cadrex. Migrations after it are numbered files in migrations/; functions and triggers are in functions/.
--
-- Instants are timestamptz, calendar dates are date, shares are double precision within 0…1. Days of a challenge count from 1.
-- Ids are made by the application, or by the device that sends a row: sending it twice changes nothing.

-- Order of changes to enrolments; caches compare it (functions/touch.sql).
create sequence touch;

-- ==== Coaches ====

-- A coach account. The second factor (RFC 6238) is pending while second_factor_since is null: no code has been
-- confirmed yet. second_factor_step is the time step of the last accepted code, so that a code works once.
create table coach (
	id uuid primary key,
	email text not null check (email = lower(email)) unique,
	name text not null check (length(name) between 1 and 80),
	zone text not null,
	password_hash text not null,
	created_at timestamptz not null,
	-- House rules that differ from the defaults.
	house jsonb not null default '{}',
	-- Version of everything that all participants of this coach share: challenges, plans, announcements, sessions,
	-- exercises, house rules. Caches are keyed by it. Raised by triggers (functions/revision.sql), so that no
	-- statement can forget it.
	revision bigint not null default 0,
	second_factor text,
	second_factor_since timestamptz,
	second_factor_step bigint not null default 0,
	password_changed_at timestamptz,
	operator boolean not null default true,
	units text not null default 'kg' check (units in ('kg', 'lb')),
	-- Tone of drafts, quiet hours and daily digest, where they differ from the defaults.
	post jsonb not null default '{}',
	-- Date, in the coach's zone, of the latest daily digest.
	digested_on date,
	check (second_factor_since is null or second_factor is not null)
);

-- ==== Exercises, sessions and plans ====

-- A coach's own exercises. Former names are kept: sessions and logs refer to an exercise by name.
create table exercise (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	formerly text[] not null default '{}',
	body jsonb not null,
	retired_at timestamptz,
	created_at timestamptz not null,
	changed_at timestamptz not null
);
create unique index exercise_name on exercise (coach_id, lower(name));

-- A session; its content is in its versions.
create table session (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	created_at timestamptz not null,
	tags text[] not null default '{}',
	unique (coach_id, name)
);

-- Content of a session; immutable, so that people who did a version keep it. A version that plan rules derived
-- from another one has made_from instead of a number.
create table session_version (
	id uuid primary key,
	session_id uuid not null references session,
	version int check (version >= 1),
	body jsonb not null,
	seconds double precision not null check (seconds >= 0),
	created_at timestamptz not null,
	made_from uuid references session_version,
	prescribed_from date,
	name text,
	unique (session_id, version),
	check ((version is null) = (made_from is not null))
);
create index session_version_made_from on session_version (made_from);

-- A challenge of up to twelve weeks.
create table challenge (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	goal text not null,
	starts_on date not null,
	training_days int[] not null check (training_days <@ array[1, 2, 3, 4, 5, 6, 7] and cardinality(training_days) >= 1),
	budget_minutes int not null check (budget_minutes between 5 and 180),
	release_zone text,
	opens_at int not null check (opens_at between 0 and 1439),
	late_hours int not null check (late_hours between 0 and 168),
	late_worth double precision not null check (late_worth between 0 and 1),
	partial text not null check (partial in ('share', 'strict')),
	after_close text not null check (after_close in ('refuse', 'store')),
	late_joiners text not null check (late_joiners in ('group', 'own')),
	created_at timestamptz not null,
	-- Length in days.
	days int not null check (days between 1 and 84),
	-- { rules, deload, tests, audience }, where they differ from the defaults.
	plan jsonb not null default '{}',
	-- Raised with every change of the plan: two windows cannot overwrite each other.
	plan_revision int not null default 1,
	feed_hash text unique,
	calendar jsonb not null default '{}',
	-- Calendar events of each day by the plan alone, with their sequence numbers (RFC 5545); enrolment.calendar has a
	-- person's own. Numbered on change, so that reading a calendar writes nothing.
	group_calendar jsonb not null default '{}',
	waits_for_answers boolean not null,
	join_code text check (length(join_code) = 8) unique,
	capacity int check (capacity between 1 and 2000),
	-- From this date the health answers are no longer needed; null until they are deleted.
	health_until date,
	-- Pairs of enrolments that are to be in one team, or in two.
	team_wishes jsonb not null default '[]',
	teams_revision int not null default 0,
	-- Days before their joining day that late joiners may still do.
	catch_up_days int not null default 0 check (catch_up_days between 0 and 14),
	asks_weekly boolean not null default false,
	-- Check-in questions beside completion, effort and pain.
	questions text[] not null default '{energy,mood,sleep,soreness,note}'
);
create index challenge_coach on challenge (coach_id);

-- A day of the plan. version_id is what is released: base_id with the rules of the plan applied, joined with the
-- evening session if there is one.
create table plan_day (
	challenge_id uuid not null references challenge on delete cascade,
	day int not null check (day between 1 and 84),
	kind text not null check (kind in ('train', 'cardio', 'test', 'active-rest', 'rest')),
	version_id uuid references session_version,
	base_id uuid references session_version,
	effort double precision check (effort between 0 and 10),
	tests text[] not null default '{}',
	cancelled text,
	-- When the day was cancelled for everyone; figures as of an earlier time ignore it.
	cancelled_at timestamptz,
	evening_id uuid references session_version,
	primary key (challenge_id, day),
	check (kind <> 'rest' or version_id is null),
	check ((base_id is null) = (version_id is null)),
	check ((cancelled is null) = (cancelled_at is null)),
	check (evening_id is null or base_id is not null),
	check (length(cancelled) between 1 and 300)
);
create index plan_day_base on plan_day (base_id);
create index plan_day_evening on plan_day (evening_id) where evening_id is not null;
create index plan_day_version on plan_day (version_id);

-- Extra sessions that participants of a challenge may take at any time.
create table shelf_session (
	challenge_id uuid not null references challenge on delete cascade,
	session_id uuid not null references session,
	counts boolean not null,
	put_at timestamptz not null,
	primary key (challenge_id, session_id)
);

-- An announcement. Shown from `at` to everyone, or as its day opens in each person's zone.
create table announcement (
	id uuid primary key,
	challenge_id uuid not null,
	text text not null,
	at timestamptz not null,
	once boolean not null,
	day int check (day >= 1),
	foreign key (challenge_id) references challenge on delete cascade,
	check (length(text) between 1 and 600)
);
create index announcement_challenge on announcement (challenge_id, at);

-- Message templates of a coach.
create table message_template (
	id uuid primary key,
	coach_id uuid not null references coach on delete cascade,
	name text not null check (length(name) between 1 and 60),
	subject text not null check (length(subject) between 1 and 120),
	body text not null check (length(body) between 1 and 4000),
	unique (coach_id, name)
);

-- ==== Coaches of a challenge ====

-- Coaches of a challenge beside its owner (challenge.coach_id). A coach may do what the owner does; a viewer
-- reads.
create table helper (
	challenge_id uuid not null references challenge on delete cascade,
	coach_id uuid not null references coach on delete cascade,
	role text not null check (role in ('coach', 'viewer')),
	since timestamptz not null,
	primary key (challenge_id, coach_id)
);
create index helper_coach on helper (coach_id);

-- A single-use link that adds a coach to a challenge.
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

-- ==== Participants and enrolments ====

-- A participant of a coach. After deletion of their data the row stays without a name (forgotten_at).
create table participant (
	id uuid primary key,
	coach_id uuid not null references coach,
	name text not null check (length(name) between 1 and 80),
	email text not null check (email = lower(email)),
	zone text not null,
	level text not null check (level in ('beginner', 'some experience', 'trained')),
	created_at timestamptz not null,
	-- Training hour in minutes after midnight, local time, or null for as soon as a day opens.
	trains_at int check (trains_at between 0 and 1439),
	-- Equipment as data; kit_unread has what was not understood of it.
	kit jsonb not null default '[]',
	kit_unread text[] not null default '{}',
	-- Zones before a move: [{ zone, until }], until in epoch milliseconds, the earliest first.
	earlier_zones jsonb not null default '[]',
	display_name text check (length(display_name) between 1 and 40),
	units text not null default 'kg' check (units in ('kg', 'lb')),
	minutes int check (minutes between 5 and 180),
	weights text check (weights in ('never', 'some', 'regularly')),
	goals text check (length(goals) between 1 and 300),
	answered_at timestamptz,
	asked_at timestamptz,
	forgotten_at timestamptz,
	-- Whether messages of the coach are also sent by email.
	mailed boolean not null default true
);
create unique index participant_coach_email on participant (coach_id, email) where email <> '';

-- Teams of a challenge, in display order.
create table team (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	position int not null,
	name text not null check (length(name) between 1 and 40),
	unique (challenge_id, name),
	unique (challenge_id, position)
);

-- A participant in a challenge. strip, extras and last_seen are projections of results, excuses and pauses; they
-- are updated in the same transaction and can be rebuilt.
create table enrolment (
	id uuid primary key,
	challenge_id uuid not null references challenge,
	participant_id uuid not null references participant,
	from_day int not null check (from_day >= 1),
	-- Days by which a late joiner's own calendar is shifted.
	shift_days int not null,
	link_hash text unique,
	link_made_at timestamptz,
	strip jsonb not null default '{}',
	last_seen timestamptz,
	created_at timestamptz not null,
	-- SHA-256 of the secret in the calendar address. calendar has sequence, time of change and digest of each event.
	feed_hash text unique,
	calendar jsonb not null default '{}',
	extras jsonb not null default '[]',
	-- Times at which nothing is released: [{ from, until, reason }]; a projection of health answers, clearances and incidents.
	holds jsonb not null default '[]',
	left_at timestamptz,
	team_id uuid references team on delete set null,
	-- People with the same number are buddies.
	buddies int check (buddies > 0),
	-- Days before the joining day that may still be done: { before, until }, or null.
	catch_up jsonb,
	touched bigint not null default nextval('touch'),
	-- The coach who made the link, or null. The link ends with that coach's part in the challenge.
	link_made_by uuid references coach on delete set null,
	unique (challenge_id, participant_id)
);
create index enrolment_buddies on enrolment (challenge_id, buddies) where buddies is not null;
create index enrolment_link_made_by on enrolment (link_made_by) where link_made_by is not null;
create index enrolment_team on enrolment (team_id) where team_id is not null;

-- A device that has opened a personal link. Deleted when the link is revoked or replaced.
create table participant_login (
	token_hash text primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	created_at timestamptz not null,
	expires_at timestamptz not null
);
create index participant_login_enrolment on participant_login (enrolment_id);

-- Waiting list of a full challenge.
create table waiting (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	name text not null check (length(name) between 1 and 80),
	email text not null check (email = lower(email)),
	zone text not null,
	at timestamptz not null,
	-- Has a place; enrolment is in progress.
	place boolean not null default false,
	unique (challenge_id, email)
);

-- Links mailed to people who lost theirs. Each signs in one device within a day and revokes nothing.
create table way_back (
	token_hash text primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	expires_at timestamptz not null
);
create index way_back_enrolment on way_back (enrolment_id);

-- History of changes to a person, in words. Never contains health answers.
create table person_event (
	id bigint generated always as identity primary key,
	participant_id uuid not null references participant on delete cascade,
	made_by text not null check (made_by in ('coach', 'participant', 'rule')),
	what text not null check (length(what) between 1 and 600),
	at timestamptz not null
);
create index person_event_participant on person_event (participant_id, at);

-- A coach's private notes about a person: HTML with its plain text in body. health marks a note from an imported
-- list that mentions health; the coach reviews it before day one.
create table private_note (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	body text not null check (length(body) between 1 and 4000),
	at timestamptz not null,
	html text check (length(html) between 1 and 20000),
	changed_at timestamptz,
	health boolean not null default false
);
create index private_note_participant on private_note (participant_id, at);

-- Fit profile of a person since a time: level, equipment, hard limits. Completed days keep the profile of their
-- time.
create table suited (
	participant_id uuid not null references participant on delete cascade,
	since timestamptz not null,
	level text not null,
	kit jsonb not null,
	limits text[] not null,
	answered boolean not null,
	primary key (participant_id, since)
);

-- A break in days of the challenge; without to_day it is open-ended. leaves: the person left the challenge. own:
-- taken by the person, who may end it.
create table pause (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	from_day int not null check (from_day >= 1),
	to_day int,
	reason text not null check (length(reason) between 1 and 300),
	at timestamptz not null,
	leaves boolean not null default false,
	own boolean not null default false,
	check (to_day >= from_day)
);
create index pause_enrolment on pause (enrolment_id);

-- A change to what one person gets on some days. A removed override stays, because results were recorded under it.
create table override (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	target jsonb not null,
	change jsonb not null,
	from_day int not null check (from_day >= 1),
	to_day int,
	why text not null check (length(why) between 1 and 300),
	-- What it came from; it is revoked by that. origin_id: the coach, incident, re-entry or adaptation.
	origin text not null check (origin in ('coach', 'incident', 're-entry', 'adaptation', 'participant')),
	origin_id uuid,
	-- The exercise of target, or null for a day or block.
	exercise text generated always as (target ->> 'exercise') stored,
	made_at timestamptz not null,
	removed_at timestamptz,
	check (to_day >= from_day),
	check (origin in ('coach', 'participant') or origin_id is not null)
);
create index override_enrolment on override (enrolment_id);

-- ==== Accounts and security ====

-- A signed-in device of a coach. Tokens are stored as SHA-256. After rotation the previous token stays valid for a
-- moment, so that requests under way succeed; arrived: the new one has been used. proven_at: when the password was
-- last given on this device. awaits_code: the second factor is missing, so nothing is allowed yet.
create table coach_login (
	id uuid primary key,
	coach_id uuid not null references coach on delete cascade,
	token_hash text not null unique,
	previous_hash text,
	rotated_at timestamptz not null,
	created_at timestamptz not null,
	expires_at timestamptz not null,
	arrived boolean not null default true,
	device text not null default 'Unknown device' check (length(device) <= 80),
	proven_at timestamptz not null,
	awaits_code boolean not null default false
);
create index coach_login_coach on coach_login (coach_id);
create index coach_login_previous on coach_login (previous_hash);

-- Single-use recovery codes for a lost second factor. The row id is the salt of the hash.
create table recovery_code (
	id uuid primary key,
	coach_id uuid not null references coach on delete cascade,
	code_hash text not null
);
create index recovery_code_coach on recovery_code (coach_id);

-- Password reset links.
create table password_reset (
	token_hash text primary key,
	coach_id uuid not null references coach on delete cascade,
	expires_at timestamptz not null
);
create index password_reset_coach on password_reset (coach_id);

-- Sign-ins and changes of access rights. network is the IP address (IPv6: its /64).
create table security_event (
	id bigint generated always as identity primary key,
	at timestamptz not null,
	kind text not null check (length(kind) <= 40),
	coach_id uuid references coach on delete cascade,
	enrolment_id uuid references enrolment on delete cascade,
	network text check (length(network) <= 64),
	device text check (length(device) <= 80)
);
create index security_event_at on security_event (at);
create index security_event_coach on security_event (coach_id, at);

-- Counters of rate-limiter-flexible.
create table rate_limit (
	key varchar(255) primary key,
	points int not null default 0,
	expire bigint
);

-- Audit log of a challenge: which coach did what, and about whom.
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

-- ==== Health ====

-- Consent to the processing of health data, by version of its text.
create table consent (
	participant_id uuid not null references participant on delete cascade,
	version int not null check (version >= 1),
	-- The participant agreed, or the coach noted that they did.
	given_by text not null check (given_by in ('coach', 'participant')),
	at timestamptz not null,
	primary key (participant_id, version)
);

-- Current health answers of a person, and the hard limits that follow from them and from the coach.
create table health (
	participant_id uuid primary key references participant on delete cascade,
	-- Latest answers, or null if there are none.
	answers jsonb,
	-- Limits added by the coach, and all limits together.
	added text[] not null default '{}',
	limits text[] not null default '{}'
);

-- Access log of health answers, visible to the person.
create table health_look (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	who text not null,
	at timestamptz not null
);
create index health_look_participant on health_look (participant_id, at);

-- Every set of answers to the health questions, with the reasons to consult a professional first.
create table screening (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	answers jsonb not null,
	reasons text[] not null,
	made_by text not null check (made_by in ('coach', 'participant', 'rule')),
	at timestamptz not null
);
create index screening_participant on screening (participant_id, at);

-- Documents of a person, such as a clearance. The file is in the data directory; only coaches may read it.
create table document (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	name text not null check (length(name) between 1 and 120),
	kind text not null check (kind in ('pdf', 'jpeg', 'png')),
	bytes int not null check (bytes between 1 and 8388608),
	at timestamptz not null
);
create index document_participant on document (participant_id, at);

-- A professional's clearance to train.
create table clearance (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	who text not null check (length(who) between 1 and 120),
	note text check (length(note) between 1 and 1000),
	covers text[] not null check (cardinality(covers) >= 1),
	from_at timestamptz not null,
	until_at timestamptz,
	taken_back_at timestamptz,
	document_id uuid references document on delete set null,
	check (until_at > from_at)
);
create index clearance_participant on clearance (participant_id, from_at);

-- Intake answers by section, until all are complete.
create table intake_draft (
	participant_id uuid primary key references participant on delete cascade,
	sections jsonb not null default '{}',
	changed_at timestamptz not null
);

-- Reported pain or a warning sign. exercises are left out, and areas spared, until a coach decides; spare and hold
-- last until over_at.
create table incident (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	kind text not null check (kind in ('pain', 'stop sign')),
	-- Null if reported outside a session.
	day int check (day between 1 and 84),
	said text not null check (length(said) between 1 and 2000),
	area text,
	feels text,
	-- Exercises as planned.
	exercises text[] not null default '{}',
	at timestamptz not null,
	-- When coaches were notified by email.
	told_at timestamptz,
	decided_at timestamptz,
	decided_by uuid references coach on delete set null,
	decision text check (decision in ('give back', 'replace', 'keep off', 'cleared', 'spare', 'hold', 'withdrawn')),
	note text check (length(note) between 1 and 1000),
	-- Date of the follow-up in the coach's zone, and when it was done.
	follow_up_on date,
	followed_up_at timestamptz,
	areas text[] not null default '{}',
	intensity smallint check (intensity between 0 and 10),
	-- When the spared areas or the hold ended; null if they last, or if nothing of the kind was decided.
	over_at timestamptz,
	check ((decided_at is null) = (decision is null))
);
create index incident_enrolment on incident (enrolment_id, at desc);
create index incident_sparing on incident (enrolment_id) where kind = 'pain' and over_at is null;
create index incident_untold on incident (at) where told_at is null;

-- ==== Results ====

-- An excused day.
create table excuse (
	enrolment_id uuid not null references enrolment on delete cascade,
	day int not null check (day >= 1),
	reason text not null check (length(reason) between 1 and 300),
	at timestamptz not null,
	primary key (enrolment_id, day)
);

-- A session that a person did: the planned one of a day (a check-in), one of the plan done again, or an extra one. The id is
-- made by the participant's device, so sending it twice changes nothing. A correction is a new row; the previous one stays
-- with replaced_at. Written by done/results.ts alone.
create table result (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	-- planned: counts for its day. again: counts nothing. extra: counts if the coach said so when it was done.
	kind text not null check (kind in ('planned', 'again', 'extra')),
	-- Null for an extra session.
	day int check (day >= 1),
	version_id uuid references session_version,
	-- Share of the work done, before what a late result is worth.
	credit double precision not null check (credit between 0 and 1),
	-- Of a planned session.
	standing text check (standing in ('on time', 'late', 'after close')),
	-- Of an extra session.
	counts boolean,
	effort int check (effort between 0 and 10),
	energy int check (energy between 1 and 5),
	sleep_hours double precision check (sleep_hours between 0 and 24),
	hurts text,
	note text,
	-- Answers to the check-in questions: { mood, soreness, waterLitres, fuelMet, win, pain }.
	well jsonb not null default '{}',
	-- Work beyond the plan; counts nothing.
	beyond jsonb not null default '[]',
	-- The prescription, if it differed from the version.
	prescribed jsonb,
	-- { seconds, scores, hurts, heart } of a guided session: duration, results against the clock, pain by exercise.
	run jsonb,
	-- Times of a guided session, by the device.
	started_at timestamptz,
	done_at timestamptz,
	received_at timestamptz not null,
	replaced_at timestamptz,
	-- Done in time but received after closing: the coach decides whether it counts.
	offered boolean not null default false,
	-- The result that a late part of a day would be added to.
	adds_to uuid references result on delete set null,
	-- For triage, computed when the result arrives: results by side, and the best result of a test.
	sides jsonb not null default '[]',
	best jsonb,
	-- The coach who recorded the result, or null for the participant.
	entered_by uuid references coach on delete set null,
	check ((kind = 'extra') = (day is null)),
	check ((kind = 'extra') = (counts is not null)),
	check ((kind = 'planned') = (standing is not null))
);
create unique index result_current on result (enrolment_id, day) where kind = 'planned' and replaced_at is null;
create index result_received on result (enrolment_id, received_at);
create index result_version on result (version_id);

-- Sets of a result.
create table result_set (
	result_id uuid not null references result on delete cascade,
	-- Place in the session as planned, from 0; sets from 1.
	block int not null check (block >= 0),
	part int not null check (part >= 0),
	set int not null check (set >= 1),
	-- The exercise that was done, by its name at that time.
	exercise text not null check (length(exercise) between 1 and 80),
	-- Whether it was done in place of the prescribed one.
	is_substitute boolean not null,
	unit text not null check (unit in ('reps', 'seconds', 'metres')),
	amount double precision not null check (amount >= 0),
	kg double precision check (kg > 0),
	-- Amounts by side, where they differed.
	left_side double precision check (left_side >= 0),
	right_side double precision check (right_side >= 0),
	effort int check (effort between 0 and 10),
	primary key (result_id, block, part, set)
);

-- Projection of result_set: what a person has done of an exercise in all challenges. Updated with every result and rebuilt by
-- changes/performance.ts.
create table performance (
	participant_id uuid not null references participant on delete cascade,
	exercise text not null,
	unit text not null,
	results int not null,
	sets int not null,
	-- The best set of the latest result.
	last_at timestamptz not null,
	last_amount double precision not null,
	last_kg double precision,
	-- The heaviest set, with the largest amount at that load.
	best_at timestamptz not null,
	best_amount double precision not null,
	best_kg double precision,
	primary key (participant_id, exercise, unit)
);

-- The latest state of a guided session, as reported by the phone.
create table presence (
	enrolment_id uuid primary key references enrolment on delete cascade,
	day int not null check (day between 1 and 84),
	phase text not null check (phase in ('ready', 'going', 'paused', 'over', 'left')),
	-- Current step as shown on the phone, or null.
	what text check (length(what) between 1 and 120),
	share double precision not null check (share between 0 and 1),
	-- { exercise, area } of each “this hurts” of this day's session.
	hurts jsonb not null default '[]',
	at timestamptz not null
);

-- Upcoming days on which something does not fit a person, computed by a job. Checked again when mark changes.
create table fit_day (
	enrolment_id uuid not null references enrolment on delete cascade,
	day int not null check (day >= 1),
	-- Digest of session, fit profile, overrides and exercise library.
	mark text not null,
	seconds double precision not null,
	-- Exercises without a safe, available alternative: [{exercise, role, why}].
	unfit jsonb not null,
	nothing boolean not null,
	-- Findings of the audit of that day.
	audit jsonb not null default '[]',
	primary key (enrolment_id, day)
);

-- ==== Measurements and photographs ====

-- Body measurements; weight in kg, others in m.
create table measure (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	kind text not null check (kind in ('weight', 'waist', 'hips', 'chest', 'thigh', 'arm')),
	value double precision not null check (value > 0),
	at timestamptz not null,
	source text not null check (source in ('typed', 'scale'))
);
create index measure_participant on measure (participant_id, kind, at);

-- Weekly review by a participant.
create table weekly (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	week int not null check (week between 1 and 12),
	favourite text check (length(favourite) between 1 and 80),
	hardest text check (length(hardest) between 1 and 80),
	obstacle text check (length(obstacle) between 1 and 1000),
	-- 0…10, that the week ahead goes as planned.
	confidence int check (confidence between 0 and 10),
	at timestamptz not null,
	unique (enrolment_id, week)
);

-- Progress photographs; the files are in the data directory.
create table picture (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	view text not null check (view in ('front', 'side', 'back')),
	taken_on date not null,
	width int not null,
	height int not null,
	bytes int not null,
	-- Whether the coach may see it; decided by the participant.
	shared boolean not null default false,
	at timestamptz not null
);
create index picture_participant on picture (participant_id, taken_on);

-- A photograph or clip of one exercise for the coach to review.
create table form_check (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	exercise text not null check (length(exercise) between 1 and 80),
	type text not null check (type in ('image/jpeg', 'video/mp4', 'video/webm', 'video/quicktime')),
	bytes int not null,
	note text check (length(note) between 1 and 1000),
	at timestamptz not null,
	answered_at timestamptz,
	answered_by uuid references coach on delete set null,
	cue text check (length(cue) between 1 and 1000),
	-- { x, y, at }: shares of width and height 0…1, and seconds into a clip.
	mark jsonb,
	seen_at timestamptz
);
create index form_check_enrolment on form_check (enrolment_id, at desc);
create index form_check_open on form_check (enrolment_id) where answered_at is null;

-- ==== Messages and mail ====

-- A poll for an audience of a challenge.
create table poll (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	coach_id uuid references coach on delete set null,
	question text not null,
	choices text[] not null,
	audience jsonb not null,
	-- Whether people who have answered see the counts.
	shown boolean not null,
	at timestamptz not null,
	closes_at timestamptz not null
);
create index poll_challenge on poll (challenge_id, at);

-- Answers to polls.
create table poll_answer (
	poll_id uuid not null references poll on delete cascade,
	enrolment_id uuid not null references enrolment on delete cascade,
	-- Index into poll.choices.
	choice int not null,
	at timestamptz not null,
	primary key (poll_id, enrolment_id)
);
create index poll_answer_enrolment on poll_answer (enrolment_id);

-- Messages between a coach and a participant. is_draft: sent as proposed, which does not count as an answer.
create table message (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	by_coach boolean not null,
	-- Author, or null for the participant or a deleted account.
	coach_id uuid references coach on delete set null,
	body text not null check (length(body) between 1 and 4000),
	at timestamptz not null,
	-- When the recipient saw it.
	read_at timestamptz,
	-- The result that the message is about, and its day; about_day is null for an extra session.
	about uuid,
	about_day int,
	-- Sanitised HTML, or null for plain text; body always has the text.
	html text,
	-- When coaches were notified by email, or the check found that none wants to be.
	told_at timestamptz,
	is_draft boolean not null default false,
	check (by_coach or coach_id is null)
);
create index message_about on message (about) where about is not null;
create index message_enrolment on message (enrolment_id, at desc);
create index message_unread on message (enrolment_id) where by_coach and read_at is null;
create index message_untold on message (at) where not by_coach and told_at is null;

-- A message to several people, as written, before its template fields are filled in.
create table post (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	-- Null if the account was deleted.
	coach_id uuid references coach on delete set null,
	subject text not null check (length(subject) between 1 and 120),
	body text not null check (length(body) between 1 and 4000),
	audience jsonb not null,
	at timestamptz not null,
	-- Local date and time of sending in each person's zone, or null for now.
	on_date date,
	on_minutes int check (on_minutes between 0 and 1439),
	check ((on_date is null) = (on_minutes is null))
);
create index post_challenge on post (challenge_id, at desc);

-- A message to one person on its way: delivered in the application when due, and by email outside quiet hours.
create table letter (
	-- Also the id of the message and of the email: a retry sends the same one.
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	coach_id uuid references coach on delete set null,
	post_id uuid references post on delete cascade,
	subject text not null,
	body text not null check (length(body) between 1 and 6000),
	due_at timestamptz not null,
	-- planned: not delivered in the application yet; waiting: email pending; not mailed: read before, or no email
	-- wanted.
	state text not null check (state in ('planned', 'waiting', 'sent', 'failed', 'not mailed', 'cancelled')),
	-- Next attempt while planned or waiting.
	next_at timestamptz not null,
	-- Lease of a process, by the clock of the database.
	leased_until timestamptz,
	tries int not null default 0,
	-- Error of the last attempt.
	error text check (length(error) <= 300),
	done_at timestamptz,
	-- For a letter with the recipient's personal link: base address, else null.
	invite_base text,
	-- Secret of that link while the letter is pending, so that retries send the same one.
	secret text,
	html text
);
create index letter_enrolment on letter (enrolment_id, due_at desc);
create index letter_invites on letter (enrolment_id, due_at desc) where invite_base is not null;
create index letter_next on letter (next_at) where state in ('planned', 'waiting');
create index letter_post on letter (post_id);

-- What a coach did about a person's reasons: contacted, postponed or settled. way 'post' is a message to several
-- and does not count as contact.
create table reach (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	-- Null if the account was deleted.
	coach_id uuid references coach on delete set null,
	way text not null check (way in ('wrote', 'called', 'talked', 'praised', 'adjusted', 'asked', 'settled', 'later', 'post')),
	-- Reasons at that time.
	reasons text[] not null,
	note text check (length(note) between 1 and 1000),
	at timestamptz not null,
	-- Postponed until.
	until timestamptz,
	check ((until is null) = (way <> 'later'))
);
create index reach_enrolment on reach (enrolment_id, at desc);

-- A participant's request to change the plan.
create table request (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	wants text not null,
	-- Body area, or null.
	area text,
	said text,
	at timestamptz not null,
	answered_at timestamptz,
	answered_by uuid references coach on delete set null,
	answer text
);
create index request_enrolment on request (enrolment_id, at);

-- A device that receives reminders by Web Push (RFC 8030). Ends with the sign-in of that device.
create table push_subscription (
	-- Random and known to the device alone; used to unsubscribe from a notification.
	id uuid primary key,
	login_hash text not null,
	enrolment_id uuid not null references enrolment on delete cascade,
	endpoint text not null check (length(endpoint) <= 1000) unique,
	-- Public key and secret of the device (RFC 8291), base64url.
	p256dh text not null check (length(p256dh) <= 100),
	auth text not null check (length(auth) <= 40),
	sessions boolean not null,
	messages boolean not null,
	created_at timestamptz not null,
	-- Next check for reminders.
	look_at timestamptz not null,
	foreign key (login_hash) references participant_login(token_hash) on delete cascade
);
create index push_subscription_enrolment on push_subscription (enrolment_id);
create index push_subscription_login on push_subscription (login_hash);
create index push_subscription_look on push_subscription (look_at);

-- A reminder to one device; one per kind and subject.
create table reminder (
	id uuid primary key,
	subscription_id uuid not null references push_subscription on delete cascade,
	kind text not null check (kind in ('welcome', 'session', 'message')),
	-- Day number or message id.
	about text not null check (length(about) <= 80),
	state text not null default 'waiting' check (state in ('waiting', 'sent', 'failed')),
	next_at timestamptz not null,
	-- Obsolete after this time.
	until timestamptz not null,
	tries int not null default 0,
	leased_until timestamptz,
	error text check (length(error) <= 300),
	unique (subscription_id, kind, about)
);
create index reminder_waiting on reminder (next_at) where state = 'waiting';

-- ==== The installation ====

-- Settings of the installation.
create table setting (
	key text primary key,
	value jsonb not null
);
