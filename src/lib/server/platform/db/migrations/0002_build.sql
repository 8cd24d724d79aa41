-- What a coach builds with: her own exercises beside the library that ships, her house rules, tags of sessions.

alter table coach add column house jsonb not null default '{}';

alter table session add column tags text[] not null default '{}';

-- A session names its exercises; one that is renamed keeps its former names, so that what was built, sent and
-- logged before still finds it.
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
