-- A phone or browser that receives reminders by Web Push (RFC 8030). It ends with the sign-in of that device.
create table push_subscription (
	-- Random and known to the device alone: a notification stops itself with it.
	id uuid primary key,
	login_hash text not null references participant_login (token_hash) on delete cascade,
	enrolment_id uuid not null references enrolment (id) on delete cascade,
	endpoint text not null unique check (length(endpoint) <= 1000),
	-- Keys of the device for RFC 8291, base64url.
	p256dh text not null check (length(p256dh) <= 100),
	auth text not null check (length(auth) <= 40),
	sessions boolean not null,
	messages boolean not null,
	created_at timestamptz not null,
	-- When it is next looked for something to remind of.
	look_at timestamptz not null
);
create index push_subscription_enrolment on push_subscription (enrolment_id);
create index push_subscription_login on push_subscription (login_hash);
create index push_subscription_look on push_subscription (look_at);

-- A reminder on its way to one device. One of each kind and subject is sent, whatever happens in between.
create table reminder (
	id uuid primary key,
	subscription_id uuid not null references push_subscription (id) on delete cascade,
	kind text not null check (kind in ('welcome', 'session', 'message')),
	-- The number of the day, or the message.
	about text not null check (length(about) <= 80),
	state text not null default 'waiting' check (state in ('waiting', 'sent', 'failed')),
	next_at timestamptz not null,
	-- When it is stale.
	until timestamptz not null,
	tries int not null default 0,
	leased_until timestamptz,
	error text check (length(error) <= 300),
	unique (subscription_id, kind, about)
);
create index reminder_waiting on reminder (next_at) where state = 'waiting';
