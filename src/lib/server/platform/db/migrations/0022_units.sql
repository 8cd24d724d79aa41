-- With the units in which somebody reads loads.
create or replace function person_behind(hash text, now timestamptz) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('enrolmentId', e.id, 'participantId', p.id, 'challengeId', e.challenge_id, 'name', p.name,
			'zone', p.zone, 'earlierZones', p.earlier_zones, 'units', p.units, 'holds', e.holds, 'elsewhere', exists (select from enrolment o
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
