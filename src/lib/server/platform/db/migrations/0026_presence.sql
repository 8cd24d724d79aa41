-- Where somebody is in a session that is led on their phone: the last that it told while it was online.
create table presence (
	enrolment_id uuid primary key references enrolment on delete cascade,
	day int not null check (day between 1 and 84),
	phase text not null check (phase in ('ready', 'going', 'paused', 'over', 'left')),
	-- What is done right now, as the phone shows it; null: nothing.
	what text check (length(what) between 1 and 120),
	share double precision not null check (share between 0 and 1),
	-- { exercise, area } of each “this hurts” of this day's session.
	hurts jsonb not null default '[]',
	at timestamptz not null
);

-- Says in which challenge something came about, to every process that listens; it is heard when the transaction is through.
create function say_live() returns trigger language plpgsql as $$
begin
	perform pg_notify('cadrex_live', (select challenge_id::text from enrolment where id = new.enrolment_id));
	return null;
end $$;
create trigger presence_said after insert or update on presence for each row execute function say_live();
create trigger checkin_said after insert on checkin for each row execute function say_live();
