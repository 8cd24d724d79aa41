-- What every page of a participant asks. A function's plan is kept, while that of a statement is made anew each time, which
-- takes the embedded database longer than running it (docs/decisions/0039).

-- Who is behind the token of a device, by its hash; null when it is not good (any more).
create function person_behind(hash text, now timestamptz) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('enrolmentId', e.id, 'challengeId', e.challenge_id, 'name', p.name, 'zone', p.zone,
			'earlierZones', p.earlier_zones, 'level', p.level, 'limits', p.limits)
		from participant_login l
		join enrolment e on e.id = l.enrolment_id
		join participant p on p.id = e.participant_id
		where l.token_hash = hash and l.expires_at > now
	);
end $$;

-- What an enrolment has of its own, and the revision of what its group is shown alike.
create function standing_of(enrolment_id uuid) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('strip', e.strip, 'extras', e.extras, 'shiftDays', e.shift_days, 'fromDay', e.from_day,
			'revision', co.revision, 'differs', exists (select from override o where o.enrolment_id = e.id))
		from enrolment e join challenge ch on ch.id = e.challenge_id join coach co on co.id = ch.coach_id
		where e.id = standing_of.enrolment_id
	);
end $$;
