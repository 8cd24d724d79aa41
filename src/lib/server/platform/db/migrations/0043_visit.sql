-- With all that is, or ever was, different for somebody, and what others said to the polls that they have answered.
drop function standing_of(uuid);
create function standing_of(enrolment_id uuid, polls_since timestamptz) returns jsonb language plpgsql stable as $$
begin
	return (
		select jsonb_build_object('strip', e.strip, 'extras', e.extras, 'shiftDays', e.shift_days, 'fromDay', e.from_day,
			'catchUp', e.catch_up, 'company', jsonb_build_object('team', (select t.name from team t where t.id = e.team_id),
				'teamId', e.team_id,
				'buddies', coalesce((select jsonb_agg(shown_name(p) order by p.name)
					from enrolment o join participant p on p.id = o.participant_id
					where o.challenge_id = e.challenge_id and o.buddies = e.buddies and o.id <> e.id and o.left_at is null), '[]')),
			'votes', coalesce((select jsonb_object_agg(a.poll_id, a.choice) from poll_answer a where a.enrolment_id = e.id), '{}'),
			'counts', coalesce((select jsonb_object_agg(given.poll_id, given.counts) from (
				select one.poll_id, jsonb_object_agg(one.choice, one.n) as counts from (
					select a.poll_id, a.choice, count(*) as n
					from poll_answer mine join poll q on q.id = mine.poll_id join poll_answer a on a.poll_id = q.id
					where mine.enrolment_id = e.id and q.shown and q.closes_at > polls_since
					group by a.poll_id, a.choice) one
				group by one.poll_id) given), '{}'),
			'unread', (select count(*) from message m where m.enrolment_id = e.id and m.by_coach and m.read_at is null),
			'revision', co.revision,
			'overrides', coalesce((select jsonb_agg(jsonb_build_object('id', o.id, 'target', o.target, 'change', o.change,
					'fromDay', o.from_day, 'toDay', o.to_day, 'why', o.why, 'madeBy', o.made_by,
					'madeAt', (extract(epoch from o.made_at) * 1000)::bigint,
					'removedAt', (extract(epoch from o.removed_at) * 1000)::bigint) order by o.made_at, o.id)
				from override o where o.enrolment_id = e.id), '[]'))
		from enrolment e join challenge ch on ch.id = e.challenge_id join coach co on co.id = ch.coach_id
		where e.id = standing_of.enrolment_id
	);
end $$;

-- Who is behind the token of a device, and where they stand: most of their pages ask for both.
create function visit_of(hash text, at timestamptz, polls_since timestamptz) returns jsonb language plpgsql stable as $$
declare
	person jsonb := person_behind(hash, at);
begin
	return jsonb_build_object('person', person,
		'standing', case when person is not null then standing_of((person ->> 'enrolmentId')::uuid, polls_since) end);
end $$;
