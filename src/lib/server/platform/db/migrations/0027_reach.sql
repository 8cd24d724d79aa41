-- What a coach did about somebody who needed them, or put off; the newest decides what is shown again.
create table reach (
	id uuid primary key,
	enrolment_id uuid not null references enrolment on delete cascade,
	-- Who did it; null: somebody whose account is gone.
	coach_id uuid references coach on delete set null,
	way text not null check (way in ('wrote', 'called', 'talked', 'praised', 'adjusted', 'asked', 'settled', 'later')),
	-- The kinds of reasons that there were then.
	reasons text[] not null,
	note text check (length(note) between 1 and 1000),
	at timestamptz not null,
	-- Until when it was put off.
	until timestamptz check ((until is null) = (way <> 'later'))
);
create index reach_enrolment on reach (enrolment_id, at desc);
