-- A page on which people join by themselves, with so many places; who comes after that waits.
alter table challenge
	add join_code text unique check (length(join_code) = 8),
	add capacity int check (capacity between 1 and 2000);

create table waiting (
	id uuid primary key,
	challenge_id uuid not null references challenge on delete cascade,
	name text not null check (length(name) between 1 and 80),
	email text not null check (email = lower(email)),
	zone text not null,
	at timestamptz not null,
	-- Has a place and is being enrolled this very moment.
	place boolean not null default false,
	unique (challenge_id, email)
);

-- Somebody who leaves takes a pause without an end, which their return ends.
alter table enrolment add left_at timestamptz;
alter table pause add leaves boolean not null default false;

-- With what suits them, when they are held, and whether they are in another challenge as well.
create or replace function person_behind(hash text, now timestamptz) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('enrolmentId', e.id, 'participantId', p.id, 'challengeId', e.challenge_id, 'name', p.name,
			'zone', p.zone, 'earlierZones', p.earlier_zones, 'holds', e.holds, 'elsewhere', exists (select from enrolment o
				where o.participant_id = p.id and o.id <> e.id and o.left_at is null), 'asksAgain', coalesce(p.asked_at > p.answered_at, false), 'suited', jsonb_build_object(
				'since', (extract(epoch from coalesce((select max(s.since) from suited s where s.participant_id = p.id), p.created_at)) * 1000)::bigint,
				'level', p.level, 'kit', p.kit, 'limits', coalesce(to_jsonb(h.limits), '[]'), 'answered', p.answered_at is not null))
		from participant_login l
		join enrolment e on e.id = l.enrolment_id
		join participant p on p.id = e.participant_id
		left join health h on h.participant_id = p.id
		where l.token_hash = hash and l.expires_at > now
	);
end $$;
