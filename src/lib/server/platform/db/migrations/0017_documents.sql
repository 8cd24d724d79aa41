-- Papers of one person, as a clearance on paper: the file lies in the data directory, seen by the coach alone.
create table document (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	name text not null check (length(name) between 1 and 120),
	kind text not null check (kind in ('pdf', 'jpeg', 'png')),
	bytes int not null check (bytes between 1 and 8388608),
	at timestamptz not null
);
create index document_participant on document (participant_id, at);

-- What a coach notes for herself about somebody: nobody else sees it.
create table private_note (
	id uuid primary key,
	participant_id uuid not null references participant on delete cascade,
	body text not null check (length(body) between 1 and 4000),
	at timestamptz not null
);
create index private_note_participant on private_note (participant_id, at);
