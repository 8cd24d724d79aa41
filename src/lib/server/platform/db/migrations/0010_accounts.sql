-- A coach's second factor: the secret that their device works out codes with (RFC 6238), kept as it is, since the codes
-- are worked out here as well. `second_factor_since` is null until a first code has shown that the device has it; the
-- time step of the last code that was taken makes each good for once.
alter table coach
	add second_factor text,
	add second_factor_since timestamptz,
	add second_factor_step bigint not null default 0,
	add password_changed_at timestamptz,
	add check (second_factor_since is null or second_factor is not null);

-- For when the device is lost, each once. The row's own id is the salt of its hash.
create table recovery_code (
	id uuid primary key,
	coach_id uuid not null references coach on delete cascade,
	code_hash text not null
);
create index recovery_code_coach on recovery_code (coach_id);

create table password_reset (
	token_hash text primary key,
	coach_id uuid not null references coach on delete cascade,
	expires_at timestamptz not null
);
create index password_reset_coach on password_reset (coach_id);

-- `proven_at`: when the password was last given on this device. A sign-in that waits for its code lets nobody in.
alter table coach_login
	add device text not null default 'Unknown device' check (length(device) <= 80),
	add proven_at timestamptz,
	add awaits_code boolean not null default false;
update coach_login set proven_at = created_at;
alter table coach_login alter proven_at set not null;

-- Who came in and what changed about who may; `network` is the address it came from (of IPv6 its /64).
create table security_event (
	id bigint generated always as identity primary key,
	at timestamptz not null,
	kind text not null check (length(kind) <= 40),
	coach_id uuid references coach on delete cascade,
	enrolment_id uuid references enrolment on delete cascade,
	network text check (length(network) <= 64),
	device text check (length(device) <= 80)
);
create index security_event_coach on security_event (coach_id, at);
create index security_event_at on security_event (at);
