-- A private note as it was set, as HTML of a few kinds of elements; `body` is its text, to search. And when it was last changed.
alter table private_note
	add html text check (length(html) between 1 and 20000),
	add changed_at timestamptz;

-- The paper on which a clearance was given.
alter table clearance add document_id uuid references document on delete set null;

-- Whether everybody is asked once a week whether anything has changed.
alter table challenge add asks_weekly boolean not null default false;
