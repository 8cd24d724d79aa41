-- What somebody has measured of themselves; weight in kg, the rest in m.
create table measure (
	-- Made by the page that sends it: sent twice, it is kept once.
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	kind text not null check (kind in ('weight', 'waist', 'hips', 'chest', 'thigh', 'arm')),
	value double precision not null check (value > 0),
	at timestamptz not null,
	source text not null check (source in ('typed', 'scale'))
);
create index measure_participant on measure (participant_id, kind, at);

-- Photographs of somebody; the files are beside the database.
create table picture (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	view text not null check (view in ('front', 'side', 'back')),
	taken_on date not null,
	width int not null,
	height int not null,
	bytes int not null,
	-- Whether their coach may see it: they alone say so.
	shared boolean not null default false,
	at timestamptz not null
);
create index picture_participant on picture (participant_id, taken_on);

-- Once a week: how it went, and what is ahead.
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

-- A photograph or clip of one exercise, for the coach to look at.
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
